<script lang="ts">
  import { COMMON } from '$lib/words/pages/common';
  import type { SqueezerGuide } from '$core/tool-setting/squeezer-guide.ts';
  import type { ToolState } from '$core/tool-setting/tool-moves.ts';
  import { usePreferences } from '$lib/client/preferences.svelte';
  import { trialInWords } from '$lib/words/tool-settings';
  import LimitPlot, { type PlotPoint } from './LimitPlot.svelte';

  /** Trials of a squeezer: the head’s height at each setting. */
  interface Props {
    guide: SqueezerGuide;
    trials: ToolState['trials'];
  }
  let { guide, trials }: Props = $props();
  const preferences = usePreferences();
  const read = $derived(new Map(guide.read.map((one) => [one.id, one])));
  const points = $derived(
    trials.flatMap((trial): PlotPoint[] => {
      const { id, by, struck } = trial;
      if (trial.what !== 'squeeze') return [];
      const between = read.get(id);
      const leastIn =
        between?.leastIn ?? (trial.read.by === 'caliper' ? trial.read.heightIn : null);
      if (leastIn === null) return [];
      const byPlate = trial.read.by === 'plate';
      return [
        {
          id,
          at: trial.divisions,
          valueIn: leastIn,
          ...(byPlate && between ? { highIn: between.mostIn } : {}),
          by: struck !== null ? 'struck' : byPlate ? 'diamond' : 'dot',
          hint: `${trial.divisions}: ${trialInWords(trial, preferences.inWords).came}, ${by}${struck === null ? '' : `; voided: ${struck}`}`
        }
      ];
    })
  );
  const next = $derived(
    guide.nextDivisions !== null && guide.predictedIn !== null
      ? { at: guide.nextDivisions, valueIn: guide.predictedIn }
      : null
  );
  const line = $derived(guide.line);
</script>

<LimitPlot
  measured={COMMON.headHeight}
  along="divisions closed, from the reference mark"
  band={guide.band}
  names={{ high: 'high limit', low: 'no way back below' }}
  {points}
  {next}
  lineAt={(divisions) =>
    line === null ? null : line.heightIn + (divisions - line.at) * line.slopeIn}
  assumed={line?.confidence === 'assumed'}
  signed={false}
  beside={{ aboveIn: 0.02, belowIn: 0.01 }}
  leastSteps={8}
/>
