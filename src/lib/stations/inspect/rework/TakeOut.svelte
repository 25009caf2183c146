<script lang="ts">
  import { rivetSize } from '$core/catalog/rivets.ts';
  import type { ReleasedFacts } from '$core/release/release.ts';
  import { removalWalk, type HowOut, type RemovalSchool } from '$core/reworking/removal-walk.ts';
  import type { Dash } from '$core/schema/fields.ts';
  import { usePreferences } from '$lib/client/preferences.svelte';
  import type { ReworkDesk } from '../rework-desk.svelte';
  import Arithmetic from '../../../ui/kit/Arithmetic.svelte';
  import Choice from '../../../ui/kit/Choice.svelte';
  import More from '../../../ui/kit/More.svelte';
  import Pick from '../../../ui/kit/Pick.svelte';
  import TextField from '../../../ui/kit/TextField.svelte';
  import { HOW_OUT, REMOVAL_SCHOOLS, removalStepInWords } from '$lib/words/rework';

  /** Taking a rivet out, step by step, with the drills of both schools. */
  interface Props {
    rework: ReworkDesk;
    hole: number;
    dash: Dash;
    facts: ReleasedFacts;
  }
  let { rework, hole, dash, facts }: Props = $props();
  const preferences = usePreferences();
  let chosen = $state<RemovalSchool | null>(null);
  let how = $state<HowOut>('plain');
  const typed = $derived(rework.fieldsOf(hole));
  const note = $derived(typed.of('note'));
  const school = $derived(chosen ?? facts.rules?.removal ?? 'under-shank');
  const walk = $derived(
    removalWalk(dash, facts.head, school, how, rivetSize(dash).drill[facts.rules?.drill ?? 'close'])
  );
</script>

<More title="Remove the rivet, hole {hole}" open>
  <div class="column" data-testid="take-out">
    <Choice
      label="Drill"
      value={school}
      options={[
        { value: 'under-shank', text: REMOVAL_SCHOOLS['under-shank'].name },
        { value: 'hole-drill', text: REMOVAL_SCHOOLS['hole-drill'].name }
      ]}
      onchoose={(value) => (chosen = value)}
    />
    <p class="hint">
      {REMOVAL_SCHOOLS[school].risk}. Other practice, {REMOVAL_SCHOOLS[walk.other.school].name}:
      {walk.other.drill} ({preferences.inWords(walk.other.drillIn)}).
    </p>
    <Pick
      label="Rivet condition"
      value={how}
      options={(['plain', 'swelled', 'spinning'] as const).map((value) => ({
        value,
        text: HOW_OUT[value]
      }))}
      onchoose={(value) => (how = value)}
    />
    <ol>
      {#each walk.steps as step (step.code)}<li>
          {removalStepInWords(step, preferences.inWords)}
        </li>{/each}
    </ol>
    <p class="fails-strong">
      ✕ Never a drill over {walk.neverOver.drill} ({preferences.inWords(walk.neverOver.drillIn)}):
      it cuts the hole itself. Never chisel a head off sideways. Wear eye protection.
    </p>
    <Arithmetic work={[...walk.work]} />
    <form
      onsubmit={(event) => {
        event.preventDefault();
        if (rework.add({ kind: 'out', hole, school, how, note: note.trim() })) typed.clear('note');
      }}
    >
      <TextField
        name="note"
        label="Remarks"
        bind:value={() => note, (text) => typed.type('note', text)}
        maxlength={200}
      />
      <button class="act main" data-testid="is-out">Rivet removed</button>
    </form>
  </div>
</More>

<style>
  ol {
    padding-left: 1.4rem;
    list-style: decimal;
  }
  li {
    padding-block: 3px;
  }
  form {
    display: flex;
    flex-wrap: wrap;
    align-items: end;
    gap: 8px;
  }
</style>
