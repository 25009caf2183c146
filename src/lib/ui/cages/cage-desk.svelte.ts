import { countedOf } from '$core/trial-setting/trial-stream.ts';
import { cageGuide } from '$core/prepare/cage/guide.ts';
import { recheckStatus } from '$core/prepare/cage/rechecks.ts';
import {
  cageStream,
  type CageMove,
  type FoundSetting,
  type SettingState
} from '$core/prepare/cage/setting.ts';
import type { CageSetup } from '$core/prepare/cage/setup.ts';
import type { CageSettingView } from '$lib/setting-view';
import { SettingDesk } from '../../client/setting-desk.svelte';

/** One setting of a cage in this browser: its trials, what is typed, and what to do next. */
export class CageDesk extends SettingDesk<CageSetup, CageMove, FoundSetting, SettingState> {
  constructor(
    readonly view: CageSettingView,
    by: string
  ) {
    super(cageStream, view, by);
  }

  readonly guide = $derived.by(() =>
    cageGuide(this.view.setup, countedOf(this.state), this.view.offered?.clicks ?? null)
  );
  readonly rechecks = $derived.by(() =>
    recheckStatus(this.view.setup, this.state, this.view.holesCut ?? 0)
  );
}
