import { diesGuide } from '$core/tool-setting/dies-guide.ts';
import { gunGuide } from '$core/tool-setting/gun-guide.ts';
import { squeezerGuide } from '$core/tool-setting/squeezer-guide.ts';
import { bursts, dimples, squeezes } from '$core/tool-setting/tool-rooms.ts';
import type { ToolSetup } from '$core/tool-setting/tool-setup.ts';
import { toolStatus } from '$core/tool-setting/tool-status.ts';
import type { FoundTool, ToolMove, ToolState } from '$core/tool-setting/tool-moves.ts';
import { toolStream } from '$core/tool-setting/tool-stream.ts';
import type { ToolSettingView } from '$lib/setting-view';
import { cold } from '../../client/cold.svelte';
import { SettingDesk } from '../../client/setting-desk.svelte';

/** One setting of a squeezer, a gun or dies in this browser, and what to do next. */
export class ToolDesk extends SettingDesk<ToolSetup, ToolMove, FoundTool, ToolState> {
  constructor(
    readonly view: ToolSettingView,
    by: string
  ) {
    super(toolStream, view, by);
  }

  /** one of the three, by the tool */
  readonly guide = $derived.by(() => {
    const { setup, offered } = this.view;
    const { state } = this;
    switch (setup.tool) {
      case 'squeezer':
        return {
          tool: setup.tool,
          setup,
          answer: squeezerGuide(
            setup,
            squeezes(state),
            offered?.tool === 'squeezer' ? offered : null
          )
        };
      case 'gun':
        return {
          tool: setup.tool,
          setup,
          answer: gunGuide(setup, bursts(state), offered?.tool === 'gun' ? offered : null)
        };
      case 'dies':
        return { tool: setup.tool, setup, guide: diesGuide(setup, dimples(state)) };
    }
  });
  /** by the server’s time, at the setting’s own grip and lot */
  readonly status = $derived.by(() =>
    toolStatus(this.view.setup, this.state, {
      at: cold.serverNow,
      gripIn: null,
      lot: null,
      turnedAt: this.view.turnedAt
    })
  );
}
