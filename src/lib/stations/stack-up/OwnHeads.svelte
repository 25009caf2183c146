<script lang="ts">
  import { STACK } from '$lib/words/pages/stack';
  import { headLimits } from '$core/catalog/head-limits.ts';
  import { typedNumber } from '$core/units/typed-number.ts';
  import { usePreferences } from '$lib/client/preferences.svelte';
  import { useWorkspace } from '$lib/client/workspace.svelte';
  import Choice from '../../ui/kit/Choice.svelte';
  import LengthField from '../../ui/kit/LengthField.svelte';

  /** Limits of driven heads that the joint's own data give, in D, with where they stand. */
  const workspace = useWorkspace();
  const preferences = usePreferences();
  const entered = $derived(workspace.entered);
  const shop = $derived(headLimits(workspace.profile.headLimits));
  const D = $derived(workspace.shown?.plan.diameterIn ?? null);
  const FIELDS = $derived([
    { key: 'headWideLowD', label: STACK.diameterAtLeast, shop: shop.diameterD.low },
    { key: 'headWideHighD', label: STACK.atMost, shop: shop.diameterD.high },
    { key: 'headHighLowD', label: STACK.heightAtLeast, shop: shop.heightD.low },
    { key: 'headHighHighD', label: STACK.atMost, shop: shop.heightD.high }
  ] as const);
  /** what cannot be read stays in sight, whichever is chosen */
  const asked = $derived(
    entered.ownHeads || FIELDS.some(({ key }) => workspace.problemAt(key) !== undefined)
  );
  /** a typed multiple of D as a length */
  function asLength(text: string): string {
    const value = typedNumber(text);
    return D === null || !Number.isFinite(value)
      ? 'in D'
      : `in D: ${preferences.inWords(value * D)}`;
  }
</script>

<section class="rows" aria-label={STACK.limitsOfTheHeads}>
  <Choice
    label="Head limits from"
    value={entered.ownHeads ? 'own' : 'shop'}
    options={[
      { value: 'shop', text: 'Shop rules' },
      { value: 'own', text: STACK.theJointsOwnData }
    ]}
    onchoose={(value) => workspace.edit({ ownHeads: value === 'own' }, 'ownHeads')}
  />
  {#if asked}
    <div class="four">
      {#each FIELDS as { key, label, shop: usual } (key)}
        <div>
          <LengthField
            {label}
            plain
            placeholder="{usual} D by the shop"
            value={entered[key]}
            problem={workspace.problemAt(key)}
            oninput={(text) => workspace.edit({ [key]: text }, key)}
          />
          <p class="hint">
            {workspace.problemAt(key) === undefined ? asLength(entered[key]) : 'in D'}
          </p>
        </div>
      {/each}
    </div>
    <LengthField
      label={STACK.whereDoTheseLimitsStand}
      plain
      placeholder="drawing, repair sheet, page"
      value={entered.headsReason}
      problem={workspace.problemAt('headsReason')}
      oninput={(text) => workspace.edit({ headsReason: text }, 'headsReason')}
    />
  {/if}
</section>

<style>
  .four {
    display: grid;
    grid-template-columns: repeat(2, minmax(0, 1fr));
    gap: 4px 10px;
  }
</style>
