<script lang="ts">
  import { DRIVE } from '$lib/words/pages/drive';
  import { untrack } from 'svelte';
  import { NOMINAL_DIAMETER_D } from '$core/catalog/head-limits.ts';
  import { rivetSize } from '$core/catalog/rivets.ts';
  import { CircleFit, diameterByCircle, seenVerdict } from '$core/driving/head-by-camera.ts';
  import { rodIndexIn } from '$core/driving/before-camera.ts';
  import type { CameraShot } from '$lib/camera-view';
  import { ServedCamera } from '$lib/client/devices/camera';
  import { usePreferences } from '$lib/client/preferences.svelte';
  import CameraFit, { type FitPx } from '$lib/drawing/head/CameraFit.svelte';
  import { seenInWords } from '$lib/words/driving';
  import Arithmetic from '../../ui/kit/Arithmetic.svelte';
  import Notice from '../../ui/kit/Notice.svelte';
  import Sheet from '../../ui/kit/Sheet.svelte';
  import type { DriveDesk } from './drive-desk.svelte';

  /** A head inside a closed member, seen by the camera on the rod and measured by a circle laid round it. */
  interface Props {
    desk: DriveDesk;
    /** the rivet that is looked at first */
    first: number;
    open: boolean;
    onclose: () => void;
  }
  let { desk, first, open, onclose }: Props = $props();
  const preferences = usePreferences();
  let number = $state(untrack(() => first));
  let shot = $state.raw<CameraShot | null>(null);
  let failed = $state('');
  let fit = $state.raw<FitPx | null>(null);
  const driven = $derived(desk.order.filter((one) => desk.stateOf(one)?.driven));
  const at = $derived(driven.indexOf(number));
  const hole = $derived(desk.holeOf(number));
  const index = $derived(
    hole ? rodIndexIn(desk.release.facts, hole, desk.state.access?.access.member ?? null) : 0
  );
  const seen = $derived(desk.state.seen.get(number));
  const camera = untrack(() => new ServedCamera(desk.release.id));
  const FIRST_SHARE = { scale: 0.35, y: 0.88, middle: 0.45 };

  async function look(): Promise<void> {
    if (!hole) return;
    const asked = number;
    const answer = await camera.look(index, hole.row);
    if (asked !== number) return;
    failed = 'failed' in answer ? answer.failed : '';
    shot = 'failed' in answer ? null : answer;
    if (!shot) return;
    const { widthPx, heightPx, scaleIn } = shot;
    // one lays it on: it begins about where things are
    const halfPx = (FIRST_SHARE.scale * widthPx) / 2;
    const guessIn = NOMINAL_DIAMETER_D * rivetSize(hole.dash).diameterIn;
    fit ??= {
      x: widthPx / 2,
      y: heightPx * FIRST_SHARE.middle,
      radius: (guessIn / 2) * ((2 * halfPx) / scaleIn),
      left: widthPx / 2 - halfPx,
      right: widthPx / 2 + halfPx,
      scaleY: heightPx * FIRST_SHARE.y
    };
  }
  // another rivet, another picture
  $effect(() => {
    if (number) void untrack(look);
  });
  const read = $derived.by(() => {
    if (!shot || !fit || !hole) return null;
    const circle = CircleFit.safeParse({
      circlePx: 2 * fit.radius,
      scalePx: fit.right - fit.left,
      scaleIn: shot.scaleIn,
      standoffIn: shot.standoffIn
    });
    return circle.success ? diameterByCircle(hole.dash, circle.data) : null;
  });
  const say = (one: { diameterIn: number; plusMinusIn: number }) =>
    seenInWords(
      one,
      seenVerdict(hole?.dash ?? desk.release.facts.dash, desk.release.facts.limits, one),
      preferences.inWords
    );
  const laid = $derived(read?.ok ? say(read.result) : null);
  /** both laid on: nothing is told or sent that nobody aimed */
  let aimed = $state({ circle: false, scale: false });
  const touched = $derived(aimed.circle && aimed.scale);
  function go(by: number): void {
    const next = driven[at + by];
    if (next === undefined) return;
    number = next;
    aimed = { circle: false, scale: false };
  }
  function send(): void {
    if (!read?.ok || !shot) return;
    const { diameterIn, plusMinusIn } = read.result;
    const { name, simulated } = shot;
    desk.see(number, { diameterIn, plusMinusIn, camera: name, simulated });
    aimed = { circle: false, scale: false };
  }
</script>

<Sheet title="Camera on rivet {number}" {open} {onclose}>
  <div class="camera">
    <p class="where">
      <span>Rod at <strong>{preferences.inWords(index)}</strong>, row {hole?.row}</span>
      <span>
        <button class="act small" type="button" disabled={at <= 0} onclick={() => go(-1)}
          >‹ rivet {driven[at - 1] ?? ''}</button
        >
        <button
          class="act small"
          type="button"
          disabled={at === -1 || at >= driven.length - 1}
          data-testid="camera-next"
          onclick={() => go(1)}>rivet {driven[at + 1] ?? ''} ›</button
        >
      </span>
    </p>
    {#if failed !== ''}
      <Notice level="stop" title="No picture" text={failed} />
      <button class="act" type="button" onclick={() => void look()}>Refresh</button>
    {:else if shot && fit}
      <CameraFit
        picture={shot.picture}
        widthPx={shot.widthPx}
        heightPx={shot.heightPx}
        {fit}
        onfit={(next) => {
          const was = fit;
          fit = next;
          aimed = {
            circle:
              aimed.circle || next.radius !== was?.radius || next.x !== was.x || next.y !== was.y,
            scale: aimed.scale || next.left !== was?.left || next.right !== was.right
          };
        }}
      />
      <p class="hint">
        Circle on the rim of head {number}, the two marks on the ends of the scale ({preferences.inWords(
          shot.scaleIn
        )}). Arrows move what has the focus, + and − size the circle, with shift by more.
      </p>
      {#if !touched}
        <p data-testid="camera-reading">
          {aimed.circle
            ? DRIVE.nowTheMarksOnThe
            : aimed.scale
              ? 'Now the circle on the rim.'
              : DRIVE.layOnTheCircleAnd}
        </p>
      {:else if laid}
        <p class="reading" class:good={laid.good} data-testid="camera-reading" aria-live="polite">
          <strong>{laid.figure}</strong>
          {laid.verdict}
        </p>
      {:else if read && !read.ok}
        <Notice level="stop" title="Not measured" text={preferences.refusal(read.error.said)} />
      {/if}
      {#if touched && read?.ok}<Arithmetic
          work={read.work}
          source="accuracy of a circle in a picture"
        />{/if}
      <button class="act main" type="button" disabled={!read?.ok || !touched} onclick={send}
        >{DRIVE.sendItToCheck}</button
      >
      {#if seen}
        <p data-testid="camera-sent">
          Sent: {say(seen).figure}, {seen.by}{seen.simulated ? ', practice' : ''}.
        </p>
      {/if}
      {#if shot.simulated}
        <p class="hint">{shot.name}: practice, not valid for real heads.</p>
      {/if}
    {:else}
      <p class="hint" role="status">Loading image…</p>
    {/if}
  </div>
</Sheet>

<style>
  .camera {
    display: grid;
    gap: 8px;
    width: min(100%, 860px);
  }
  .where {
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    justify-content: space-between;
    gap: 8px;
    font-variant-numeric: tabular-nums;
  }
  .reading strong {
    font-size: 1.4rem;
    font-variant-numeric: tabular-nums;
  }
  .reading {
    color: var(--amber);
  }
  .reading.good {
    color: var(--olive-deep);
  }
</style>
