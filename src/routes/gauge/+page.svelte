<script lang="ts">
  import { COMMON } from '$lib/words/pages/common';
  import { usePreferences } from '$lib/client/preferences.svelte';
  import { onMount } from 'svelte';
  import { z } from 'zod';
  import { RIVET_SIZES } from '$core/catalog/rivets.ts';
  import { featureBounds, gaugePlate, judgeFeature } from '$core/exchange/gauge-plate.ts';
  import type { Dash, HeadLimitsKey } from '$core/schema/fields.ts';
  import { parseLength } from '$core/units/parse-length.ts';
  import { Kept } from '$lib/client/kept';
  import GaugeDrawing from '$lib/drawing/head/GaugeDrawing.svelte';
  import Choice from '$lib/ui/kit/Choice.svelte';
  import Length from '$lib/ui/kit/Length.svelte';
  import Toggles from '$lib/ui/kit/Toggles.svelte';
  import LengthField from '$lib/ui/kit/LengthField.svelte';
  import { notationInWords } from '$lib/words/arithmetic';
  import { printedStepIn } from '$core/units/format-length.ts';
  import { featureInWords, featureVerdictInWords } from '$lib/words/gauge';
  import { told } from '$core/refusal-said.ts';
  import { measuredSizes } from '$core/exchange/measured-plate.ts';
  import ShopPlates from '$lib/ui/inspect/ShopPlates.svelte';
  import type { PageData } from './$types';

  interface Props {
    data: PageData;
  }
  let { data }: Props = $props();
  const preferences = usePreferences();

  const LIMITS = [
    { value: 'standard' as const, text: 'standard' },
    { value: 'tight' as const, text: 'tight' },
    { value: 'classic-flush' as const, text: 'classic flush' }
  ];
  let sizes = $state<Dash[]>([3, 4, 5, 6]);
  let limits = $state<HeadLimitsKey>('standard');
  let typed = $state<Record<string, string>>({});
  const kept = new Kept('gauge', z.record(z.string(), z.string()));
  onMount(async () => {
    for (const found of await kept.found()) typed = { ...found, ...typed };
    if (Object.keys(typed).length > 0) kept.write(typed);
  });

  const plate = $derived(gaugePlate(sizes, limits));
  const query = $derived(`sizes=${sizes.join(',')}&limits=${limits}`);
  /** a measurement belongs to the limits that the plate was made by */
  const keyOf = (key: string) => `${limits} ${key}`;
  /** at least one stays chosen */
  function choose(chosen: readonly string[]): void {
    const next = RIVET_SIZES.map(({ dash }) => dash).filter((dash) =>
      chosen.includes(String(dash))
    );
    if (next.length > 0) sizes = next;
  }
  function type(key: string, text: string): void {
    typed = { ...typed, [keyOf(key)]: text };
    kept.write(typed);
  }
  const judged = $derived(
    plate.features.map((feature) => {
      const text = typed[keyOf(feature.key)] ?? '';
      const read = parseLength(text);
      const bounds = featureBounds(feature, printedStepIn(preferences.lengths));
      return {
        feature,
        bounds,
        text,
        problem:
          text.trim() !== '' && !read.ok
            ? { said: told(COMMON.noLength), instead: null }
            : undefined,
        verdict: text.trim() !== '' && read.ok ? judgeFeature(bounds, read.valueIn) : null
      };
    })
  );
  const measured = $derived(judged.filter(({ verdict }) => verdict !== null).length);
  const off = $derived(
    judged.filter(({ verdict }) => verdict !== null && verdict !== 'good').length
  );
  const asKept = $derived(
    measuredSizes(
      judged.flatMap(({ feature, text, verdict }) => {
        const read = parseLength(text);
        return verdict === 'good' && read.ok ? [{ feature, valueIn: read.valueIn }] : [];
      }),
      plate.features
    )
  );
</script>

<svelte:head><title>Gauge plate · Zanjador</title></svelte:head>

<div class="page gauge">
  <h1>{COMMON.gaugePlate}</h1>
  <p>
    Pocket gauge for shop heads. Print full size, glue to a plate, cut to the lines, and measure
    before use.
  </p>
  <div class="wishes">
    <div>
      <p class="label">Rivet sizes</p>
      <Toggles
        label="Rivet sizes"
        value={sizes.map(String)}
        options={RIVET_SIZES.map(({ dash }) => ({ value: String(dash), text: String(dash) }))}
        onchange={choose}
      />
    </div>
    <Choice
      label="Head limits"
      value={limits}
      options={LIMITS}
      onchoose={(value) => (limits = value)}
    />
  </div>
  <section class="plate boxed-wide">
    <GaugeDrawing pattern={plate.pattern} />
    <p class="hint">
      <Length lengthIn={plate.pattern.wIn} decimal /> × <Length
        lengthIn={plate.pattern.hIn}
        decimal
      /> · drawn to scale
    </p>
    <p class="files">
      <a class="act" href="/api/gauge/gauge.pdf?{query}" download>PDF on A4</a>
      <a class="act" href="/api/gauge/gauge.pdf?{query}&paper=letter" download>PDF on Letter</a>
      <a class="act" href="/api/gauge/gauge.svg?{query}" download>SVG</a>
      <a class="act" href="/api/gauge/gauge.dxf?{query}" download>DXF</a>
    </p>
  </section>
  <section class="boxed-wide" aria-labelledby="check">
    <h2 id="check" class="label">Check the finished plate</h2>
    <p data-testid="plate-verdict">
      {measured} of {plate.features.length} measured{off > 0
        ? `; ✕ ${off} off: do not use it`
        : measured === plate.features.length
          ? '; ✓ good'
          : ''}.
    </p>
    <table class="figures">
      <thead>
        <tr><th>What</th><th>Must be</th><th>Measured</th><th>Result</th></tr>
      </thead>
      <tbody>
        {#each judged as { feature, bounds, text, problem, verdict } (feature.key)}
          <tr data-feature={feature.key}>
            <th scope="row">-{feature.dash} {featureInWords(feature)}</th>
            <td
              ><Length lengthIn={bounds.lowIn} decimal /> to <Length
                lengthIn={bounds.highIn}
                decimal
              /><small class="how"
                >nominal <Length lengthIn={feature.nominalIn} decimal />: {notationInWords(
                  feature.formula,
                  preferences.lengths
                )}</small
              ></td
            >
            <td class="typed">
              <LengthField
                quiet
                testid="measured-{feature.key}"
                label="Measured: {feature.key}"
                value={text}
                {problem}
                oninput={(value) => type(feature.key, value)}
              />
            </td>
            <td class:short={verdict !== null && verdict !== 'good'}
              >{verdict === null
                ? ''
                : `${verdict === 'good' ? '✓' : '✕'} ${featureVerdictInWords(feature, verdict)}`}</td
            >
          </tr>
        {/each}
      </tbody>
    </table>
  </section>
  <ShopPlates plates={data.plates} sizes={asKept} nobody={!data.person} />
</div>

<style>
  .gauge {
    max-width: 980px;
  }
  .wishes {
    display: flex;
    flex-wrap: wrap;
    gap: 24px;
    align-items: end;
  }
  .files {
    display: flex;
    flex-wrap: wrap;
    gap: 8px;
    padding-top: 8px;
  }
  .how {
    display: block;
    color: var(--ink-soft);
  }
  .typed {
    min-width: 9rem;
  }
  /* each feature a card of its own, so that nothing lies beyond the screen */
  @media (max-width: 600px) {
    thead {
      display: none;
    }
    tr {
      display: grid;
      grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
      padding-block: 6px;
      border-bottom: 1px solid var(--line);
    }
    .figures :is(th, td) {
      border: 0;
      padding: 2px 4px;
      white-space: normal;
    }
    .typed {
      min-width: 0;
    }
  }
</style>
