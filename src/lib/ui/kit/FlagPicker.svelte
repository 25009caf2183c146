<script lang="ts">
  import { SeenFlag } from '$core/check/findings.ts';
  import More from './More.svelte';
  import Toggles from './Toggles.svelte';
  import { FINDING_NAMES, FINDING_NOTES } from '$lib/words/heads';

  /** What the eye saw that no caliper measures; each opens to where to look and what it means. */
  interface Props {
    flags: readonly SeenFlag[];
    ontoggle: (flag: SeenFlag) => void;
  }
  let { flags, ontoggle }: Props = $props();
  const PLACES = ['shop head', 'manufactured head', 'sheet'] as const;
  const changed = (among: readonly SeenFlag[], chosen: readonly SeenFlag[]) => {
    for (const flag of among) if (chosen.includes(flag) !== flags.includes(flag)) ontoggle(flag);
  };
  const at = (place: string) =>
    SeenFlag.options.filter((flag) => FINDING_NOTES[flag].where.startsWith(place));
</script>

<More
  title="What the eye sees{flags.length > 0
    ? `: ${flags.map((flag) => FINDING_NAMES[flag]).join(', ')}`
    : ' (cracked, tilted, smile …)'}"
  open={flags.length > 0}
>
  {#each PLACES as place (place)}
    <p class="hint">{place}</p>
    <Toggles
      label="Seen on the {place}"
      value={flags.filter((flag) => at(place).includes(flag))}
      options={at(place).map((flag) => ({
        value: flag,
        text: FINDING_NAMES[flag],
        hint: `${FINDING_NOTES[flag].cause}: ${FINDING_NOTES[flag].remedy}`
      }))}
      onchange={(chosen) => changed(at(place), chosen)}
    />
  {/each}
</More>
