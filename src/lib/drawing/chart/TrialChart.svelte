<script lang="ts">
  import { predictAt, type CageGuide } from '$core/prepare/cage/guide.ts';
  import { filmRaisesIn } from '$core/prepare/countersink-next.ts';
  import { filmOf, type CageSetup } from '$core/prepare/cage/setup.ts';
  import type { SettingState } from '$core/prepare/cage/setting.ts';
  import { usePreferences } from '$lib/client/preferences.svelte';
  import { MEASURED } from '$lib/words/cages';
  import { signed } from '$lib/words/writing';
  import LimitPlot from './LimitPlot.svelte';

  /** Trial holes of a cage: how far the head stood out at each setting. */
  interface Props {
    guide: CageGuide;
    readings: SettingState['trials'];
    setup: CageSetup;
  }
  let { guide, readings, setup }: Props = $props();
  const preferences = usePreferences();
  const raisedIn = $derived(filmRaisesIn(filmOf(setup)));
  const doubted = $derived(new Set(guide.doubts.flatMap((doubt) => doubt.readings)));
  const points = $derived(
    readings.map((reading) => {
      const valueIn = reading.flushnessIn + raisedIn;
      return {
        id: reading.id,
        at: reading.clicks,
        valueIn,
        by:
          reading.struck !== null
            ? ('struck' as const)
            : reading.from === 'typed'
              ? ('dot' as const)
              : ('diamond' as const),
        doubted: doubted.has(reading.id),
        hint: `${reading.clicks} clicks: ${signed(valueIn, preferences.inWords)}, ${reading.by}${reading.struck === null ? '' : `; voided: ${reading.struck}`}`
      };
    })
  );
  const next = $derived(
    guide.nextClicks !== null && guide.predictedIn !== null && guide.said.state !== 'set'
      ? { at: guide.nextClicks, valueIn: guide.predictedIn }
      : null
  );
</script>

<LimitPlot
  measured={MEASURED[setup.seat]}
  along="clicks, deeper to the right"
  band={guide.band}
  names={{ high: 'upper limit', low: 'cannot be undone below' }}
  {points}
  {next}
  lineAt={(clicks) => predictAt(guide, clicks)?.flushIn ?? null}
  assumed={guide.line?.confidence === 'assumed'}
  signed
  beside={{ aboveIn: 0.006, belowIn: 0.002 }}
  leastSteps={6}
/>
