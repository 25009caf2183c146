<script lang="ts">
  import LengthInput from '../kit/LengthInput.svelte';
  import type { EnteredCoupon } from '$core/grading/coupon.ts';
  import { usePreferences } from '$lib/client/preferences.svelte';
  import { COUPON_PROBLEMS, CRITERION_NAMES, toTenths } from '$lib/words/grading';
  import type { CouponDesk } from './coupon-desk.svelte';

  /** What student and instructor read at each place, beside each other, and what that comes to. */
  interface Props {
    desk: CouponDesk;
    criterion: EnteredCoupon['criteria'][number];
  }
  let { desk, criterion }: Props = $props();
  const preferences = usePreferences();
  const graded = $derived(desk.graded?.criteria.find(({ key }) => key === criterion.key) ?? null);
  const PEOPLE = [
    { who: 'student', title: 'Student (separate readings with ;)' },
    { who: 'instructor', title: 'The instructor’s' }
  ] as const;
  const fine = (valueIn: number) => preferences.inWords(toTenths(valueIn), 'fine');
  function word(place: number): string {
    if (!graded) return '';
    if (graded.within.includes(place)) return '✓ within';
    if (graded.near.includes(place)) return '△ near';
    return graded.off.includes(place) ? '✕ off' : '';
  }
</script>

<table class="figures" aria-label="Readings of the {CRITERION_NAMES[criterion.key]}">
  <thead>
    <tr>
      <th>Place</th>
      {#each PEOPLE as { who, title } (who)}<th class="words">{title}</th>{/each}
      <th class="words">The work</th>
    </tr>
  </thead>
  <tbody>
    {#each { length: desk.entered.places }, at (at)}
      <tr>
        <td>{at + 1}</td>
        {#each PEOPLE as { who } (who)}
          {@const problem = desk.problemAt(`${criterion.key}.${at + 1}.${who}`)}
          <td class="words">
            <LengthInput
              maxlength={120}
              data-testid="{who}-{at + 1}"
              aria-label="Place {at + 1}, the {who}’s"
              aria-invalid={problem !== undefined}
              value={criterion.readings[at]?.[who] ?? ''}
              oninput={(text) => desk.reading(criterion.key, at, who, text)}
            />
            {#if problem !== undefined}<p class="wrong">{COUPON_PROBLEMS[problem]}</p>{/if}
          </td>
        {/each}
        <td class="words verdict">{word(at + 1)}</td>
      </tr>
    {/each}
  </tbody>
</table>
{#if graded?.measuring}
  {@const { biasIn, scatterIn, repeatIn, isBiased, places } = graded.measuring}
  <p class="measuring" data-testid="measuring">
    The student’s measuring, {places} places read by both: bias {biasIn > 0 ? '+' : ''}{fine(
      biasIn
    )}{isBiased ? ', significant' : ''}{scatterIn === null
      ? ''
      : `; differences scatter by ${fine(scatterIn)}`}{repeatIn === null
      ? '; measure a place twice to see repeatability'
      : `; readings repeat within ${fine(repeatIn)}`}.
  </p>
{/if}

<style>
  td :global(input) {
    width: 100%;
    min-width: 0;
  }
  .verdict {
    white-space: nowrap;
  }
  .wrong {
    color: var(--amber);
    font-size: var(--small);
  }
  .measuring {
    padding-top: 8px;
  }
</style>
