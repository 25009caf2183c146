<script lang="ts">
  import { DRIVE } from '$lib/words/pages/drive';
  import { COMMON } from '$lib/words/pages/common';
  import { untrack } from 'svelte';
  import type { DrivingAccess } from '$core/driving/access.ts';
  import { barsFor, setsFor } from '$core/driving/driving-ways.ts';
  import { holeWays } from '$core/driving/hole-ways.ts';
  import type { RivetRun } from '$core/driving/rivet-runs.ts';
  import type { DrivingTools } from '$core/drive/driving-tools.ts';
  import type { Release } from '$core/release/release.ts';
  import { told } from '$core/refusal-said.ts';
  import { MM_PER_IN } from '$core/units/factors.ts';
  import { divisionsPerIn, snapToRuler, type RulerScale } from '$core/units/ruler.ts';
  import { parseLength } from '$core/units/parse-length.ts';
  import { usePreferences } from '$lib/client/preferences.svelte';
  import { WAY_LETTERS, WAY_WORDS } from '$lib/words/driving';
  import { inRuns } from '$lib/words/pattern';
  import Choice from '../../../ui/kit/Choice.svelte';
  import LengthField from '../../../ui/kit/LengthField.svelte';
  import Sheet from '../../../ui/kit/Sheet.svelte';
  import { accessOf, draftOf, typedOf } from './access-fields';
  import AccessPlan from './AccessPlan.svelte';
  import AccessPresets from './AccessPresets.svelte';
  import AccessSection from './AccessSection.svelte';
  import MemberFields from './MemberFields.svelte';
  import Obstructions from './Obstructions.svelte';
  import { saysSo, type AccessPreset } from './access-presets';

  /** Access to the rivets, entered on the drawing: asked once for a release, kept with who entered it. */
  interface Props {
    open: boolean;
    access: DrivingAccess | null;
    release: Release;
    runs: readonly RivetRun[];
    tools: DrivingTools;
    onsave: (access: DrivingAccess) => void;
    onclose: () => void;
  }
  let { open, access, release, runs, tools, onsave, onclose }: Props = $props();
  const preferences = usePreferences();
  let typed = $state(untrack(() => typedOf(access)));
  let preset = $state.raw<AccessPreset | null>(null);
  /** an answer given otherwise is no longer what the picture says */
  const shownPreset = $derived(preset && saysSo(preset, typed) ? preset : null);
  const read = $derived(accessOf(typed));
  let asked = $state(false);
  let pickedId = $state<string | null>(null);
  const problem = (key: string, empty = false) => {
    const why = read.wrong.get(key);
    return why === undefined || (empty && !asked) ? undefined : { said: told(why), instead: null };
  };
  const outline = $derived({ widthIn: release.facts.widthIn, heightIn: release.facts.overlapIn });
  const draft = $derived(draftOf(typed));
  const ways = $derived(draft && holeWays(release, outline, draft, tools));
  /** holes that are driven alike are told together, the most first */
  const groups = $derived.by(() => {
    const by = new Map<string, number[]>();
    for (const [hole, way] of ways ?? []) by.set(way ?? '', [...(by.get(way ?? '') ?? []), hole]);
    return [...by].sort(([, a], [, b]) => b.length - a.length);
  });
  const lengthOf = (text: string): number | null => {
    const found = text.trim() === '' ? null : parseLength(text);
    return found?.ok ? found.valueIn : null;
  };
  /** what is moved by hand falls on the divisions of this one */
  const ruler = $derived<RulerScale>(preferences.lengths === 'mm' ? '0.5mm' : '1/32');
  const stepIn = $derived(1 / (divisionsPerIn(ruler) ?? 1));
  const write = (inches: number): string =>
    preferences.lengths === 'mm'
      ? `${Number((inches * MM_PER_IN).toFixed(2))}mm`
      : String(Number(inches.toFixed(6)));
  const upstandOf = (id: string | null) => typed.upstands.find((one) => one.id === id);
  const insetIn = (id: string) => lengthOf(upstandOf(id)?.inset ?? '');
  const picked = $derived.by(() => {
    const one = upstandOf(pickedId) ?? typed.upstands[0];
    const atIn = one ? lengthOf(one.inset) : null;
    return one && one.on !== null && atIn !== null
      ? {
          id: one.id,
          side: one.side,
          on: one.on,
          insetIn: atIn,
          heightIn: lengthOf(one.height)
        }
      : null;
  });
  const toolRadiusIn = $derived.by(() => {
    const [run] = runs;
    if (!run || !picked) return null;
    const suited = picked.on === 'head' ? setsFor(run, tools) : barsFor(run, tools);
    return suited.length === 0 ? null : Math.min(...suited.map(({ radiusIn }) => radiusIn));
  });
  const QUESTIONS = [
    { key: 'armsReach', label: DRIVE.bothSides, yes: 'by one person', no: 'by two people' },
    { key: 'faceDown', label: DRIVE.onAPlate, yes: 'lies face down', no: 'stays as it is' },
    { key: 'closedMember', label: DRIVE.insideAClosedMember, yes: 'closed', no: 'open' }
  ] as const;

  function move(id: string, toIn: number): void {
    const one = upstandOf(id);
    if (one) one.inset = write(snapToRuler(toIn, ruler));
  }
  function save(event: SubmitEvent): void {
    event.preventDefault();
    asked = true;
    if (!read.access) return;
    onsave(read.access);
    onclose();
  }
</script>

<Sheet title="Access to the rivets" {open} {onclose}>
  <form onsubmit={save} novalidate>
    <AccessPresets
      chosen={shownPreset?.key ?? null}
      onchoose={(one) => {
        preset = one;
        Object.assign(typed, one.answers);
      }}
    />
    {#if shownPreset}<p class="hint" data-testid="preset-next">{shownPreset.next}</p>{/if}
    <div class="questions">
      {#each QUESTIONS as { key, label, yes, no } (key)}
        <div>
          <Choice
            {label}
            testid={key}
            value={typed[key] === null ? '' : typed[key] ? 'yes' : 'no'}
            options={[
              { value: 'yes', text: yes },
              { value: 'no', text: no }
            ]}
            onchoose={(value) => (typed[key] = value === 'yes')}
          />
          {#if asked && typed[key] === null}<p class="wrong" role="alert">△ Not answered.</p>{/if}
        </div>
      {/each}
    </div>
    {#if typed.closedMember}
      <MemberFields bind:typed {problem} />
    {:else}
      <h3>Free edges and obstructions</h3>
      <p class="hint">{DRIVE.edgesHint}</p>
      <AccessPlan
        bind:typed
        {outline}
        holes={release.holes}
        {ways}
        {insetIn}
        problem={(side) => problem(`edges.${side}`)}
        picked={picked?.id ?? null}
        onpick={(id) => (pickedId = id)}
        oninset={move}
        {stepIn}
      />
    {/if}
    <div data-testid="reach-by-hole">
      {#if ways === null}
        <p class="hint">{DRIVE.reachNotYet}</p>
      {:else}
        <p class="label">{DRIVE.reachByHole}</p>
        <ul>
          {#each groups as [way, holes] (way)}
            {@const known = ways.get(holes[0] ?? 0)}
            <li class:wrong={!known}>
              <strong
                >{known ? `${WAY_LETTERS[known]} ${WAY_WORDS[known]}` : '✕ nothing reaches'}</strong
              >
              {holes.length} of {release.holes.length}: {inRuns(holes)}
            </li>
          {/each}
        </ul>
      {/if}
    </div>
    {#if !typed.closedMember}
      <div class="beside">
        <div class="list">
          <Obstructions
            bind:typed
            picked={picked?.id ?? null}
            onpick={(id) => (pickedId = id)}
            {problem}
          />
        </div>
        <div class="list">
          <LengthField
            label="Clearance at manufactured heads"
            value={typed.headRoom}
            oninput={(value) => (typed.headRoom = value)}
            problem={problem('headRoom')}
            whenEmpty="unobstructed"
          />
          <AccessSection
            {outline}
            holes={release.holes}
            gripIn={release.facts.gripIn}
            upstand={picked}
            {toolRadiusIn}
            onheight={(heightIn) => {
              const one = upstandOf(picked?.id ?? null);
              if (one) one.height = write(Math.max(stepIn, snapToRuler(heightIn, ruler)));
            }}
            {stepIn}
            headRoomIn={lengthOf(typed.headRoom)}
            shopRoomIn={lengthOf(typed.shopRoom)}
          />
          <LengthField
            label="Clearance at shop heads"
            value={typed.shopRoom}
            oninput={(value) => (typed.shopRoom = value)}
            problem={problem('shopRoom')}
            whenEmpty="unobstructed"
          />
        </div>
      </div>
    {/if}
    {#if asked && !read.access}
      <p data-testid="not-kept" class="wrong" role="alert">Not saved. Check the fields above.</p>
    {/if}
    <button class="act main" type="submit">{COMMON.keepIt}</button>
  </form>
</Sheet>

<style>
  form,
  .list {
    display: grid;
    align-content: start;
    gap: 12px;
    min-width: 0;
  }
  .questions {
    display: grid;
    grid-template-columns: repeat(auto-fit, minmax(220px, 1fr));
    gap: 10px;
  }
  .beside {
    display: grid;
    grid-template-columns: repeat(auto-fit, minmax(280px, 1fr));
    gap: 16px;
  }
  h3 {
    font-size: 1.2rem;
  }
  .wrong {
    color: var(--brick);
  }
</style>
