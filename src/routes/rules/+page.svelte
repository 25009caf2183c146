<script lang="ts">
  import { onceOnly } from '$lib/words/connection.ts';
  import { RULES } from '$lib/words/pages/rules';
  import { COMMON } from '$lib/words/pages/common';
  import { usePreferences } from '$lib/client/preferences.svelte';
  import { untrack } from 'svelte';
  import { invalidateAll } from '$app/navigation';
  import { INSPECTION_PLACES, type BesideShopHead } from '$core/rules/inspection.ts';
  import {
    ICEBOX_ALLOYS,
    publishedWindow,
    type IceboxAlloy,
    type IceboxTimes
  } from '$core/rules/icebox.ts';
  import { SHOP_COUNTS } from '$core/rules/sampling.ts';
  import { LIMITS } from '$core/rules/limit-settings.ts';
  import { SCHOOLS, SHOP_LENGTHS } from '$core/rules/schools.ts';
  import { problemsOf } from '$core/schema/read.ts';
  import { saveProfileAt } from '$lib/api/profiles.ts';
  import { call } from '$lib/client/call';
  import LengthField from '$lib/ui/kit/LengthField.svelte';
  import { draftOf } from '$lib/ui/rules/rule-draft';
  import SaveRules from '$lib/ui/rules/SaveRules.svelte';
  import ProfileVersions from '$lib/ui/rules/ProfileVersions.svelte';
  import type { PageData } from './$types';
  import { notationInWords } from '$lib/words/arithmetic';
  import { ruleChangesInWords } from '$lib/words/rule-changes';

  interface Props {
    data: PageData;
  }
  let { data }: Props = $props();
  const preferences = usePreferences();
  let chosen = $state(untrack(() => data.profiles[0]?.id ?? ''));
  const profile = $derived(data.profiles.find(({ id }) => id === chosen) ?? data.profiles[0]);
  /** what is being changed, on top of the chosen version */
  let changes = $state.raw<Record<string, unknown>>({});
  let typed = $state<Record<string, string>>({});
  let name = $state('');
  let note = $state('');
  let refusal = $state('');
  let said = $state('');

  function choose(id: string): void {
    chosen = id;
    changes = {};
    typed = {};
    name = note = refusal = said = '';
  }
  const draft = $derived(profile ? draftOf(profile.rules, { changes, typed, name }) : null);
  const problems = $derived(draft?.error ? problemsOf(draft.error) : []);
  const problemAt = (path: string) => {
    const found = problems.find((problem) => problem.path === path);
    return found ? { said: found.said, instead: null } : undefined;
  };
  const differ = $derived(
    draft?.success && profile
      ? ruleChangesInWords(profile.rules, draft.data, preferences.lengths)
      : []
  );
  const latest = $derived(data.profiles.find(({ rules }) => rules.name === profile?.rules.name));
  const valueOf = (key: (typeof SCHOOLS)[number]['key']) =>
    String((changes[key] as string | undefined) ?? profile?.rules[key]);

  const inspected = $derived(
    (changes['inspect'] as BesideShopHead[] | undefined) ?? profile?.rules.inspect ?? []
  );
  function inspect(place: BesideShopHead, asked: boolean): void {
    const chosen = INSPECTION_PLACES.map(({ value }) => value).filter((value) =>
      value === place ? asked : inspected.includes(value)
    );
    changes = { ...changes, inspect: chosen };
  }

  async function save(): Promise<void> {
    refusal = said = '';
    if (!draft?.success) return;
    const reply = await call(saveProfileAt, undefined, { rules: draft.data, note });
    if (!reply.reached) refusal = onceOnly('only one version is created');
    else if (!reply.ok) refusal = reply.message;
    else {
      const { name: saved } = draft.data;
      await invalidateAll();
      choose(data.profiles[0]?.id ?? '');
      said = `${saved} version ${profile?.rules.version ?? ''} is used for new joints. Existing joints keep their version until you change it.`;
    }
  }
</script>

<svelte:head><title>Rules · Zanjador</title></svelte:head>

{#snippet plainLimit(key: string, label: string, why: string, stands: string, path: string)}
  <div class="limit">
    <LengthField
      plain
      {label}
      value={typed[key] ?? stands}
      problem={problemAt(path)}
      oninput={(text) => (typed[key] = text)}
    />
    <p class="hint">{why}</p>
  </div>
{/snippet}

{#snippet shopLength({ key, label, why }: (typeof SHOP_LENGTHS)[number])}
  <LengthField
    {label}
    value={typed[key] ?? String(profile?.rules[key] ?? '')}
    problem={problemAt(key)}
    oninput={(text) => (typed[key] = text)}
  />
  {#if why !== ''}<p class="hint">{why}</p>{/if}
{/snippet}

{#snippet iceboxField(
  alloy: IceboxAlloy,
  key: keyof IceboxTimes,
  label: string,
  placeholder: string
)}
  <div class="limit">
    <LengthField
      plain
      {label}
      {placeholder}
      whenEmpty={key === 'data' ? '' : 'the guidance’s'}
      value={typed[`icebox.${alloy}.${key}`] ?? String(profile?.rules.icebox[alloy]?.[key] ?? '')}
      problem={problemAt(`icebox.${alloy}.${key}`)}
      oninput={(text) => (typed[`icebox.${alloy}.${key}`] = text)}
    />
  </div>
{/snippet}

<div class="rules">
  <header>
    <h1>{COMMON.rules}</h1>
    <p>
      Choose the shop’s practice where accepted practices differ. Each joint records the rule
      version used. Approved data always take precedence.
    </p>
  </header>

  <ProfileVersions profiles={data.profiles} chosen={profile?.id ?? ''} onchoose={choose} />

  {#if profile}
    <section class="schools" aria-label="Practices">
      {#each SCHOOLS as school (school.key)}
        <fieldset>
          <legend>{school.question}</legend>
          <p class="hint">Changes {school.changes}.</p>
          <div class="options">
            {#each school.options as option (option.value)}
              {@const on = valueOf(school.key) === option.value}
              <label class:on>
                <input
                  type="radio"
                  name={school.key}
                  value={option.value}
                  checked={on}
                  onchange={() => (changes = { ...changes, [school.key]: option.value })}
                />
                <span
                  ><strong>{notationInWords(option.text, preferences.lengths)}</strong>
                  {option.who}</span
                >
              </label>
            {/each}
          </div>
          {#each SHOP_LENGTHS.filter(({ beside }) => beside === school.key) as length (length.key)}
            <div class="house">{@render shopLength(length)}</div>
          {/each}
        </fieldset>
      {/each}

      <fieldset>
        <legend>Required for a complete inspection</legend>
        <p class="hint">
          Shop head size is always required. A head is complete only when all of these are
          inspected.
        </p>
        <div class="options">
          {#each INSPECTION_PLACES as { value, label, why } (value)}
            {@const on = inspected.includes(value)}
            <label class:on>
              <input
                type="checkbox"
                name="inspect"
                {value}
                checked={on}
                onchange={(event) => inspect(value, event.currentTarget.checked)}
              />
              <span><strong>{label}</strong> {why}</span>
            </label>
          {/each}
        </div>
      </fieldset>

      <fieldset>
        <legend>{RULES.iceboxTimes}</legend>
        <p class="hint">{RULES.iceboxWhy}</p>
        {#each ICEBOX_ALLOYS as alloy (alloy)}
          {@const guided = publishedWindow(alloy)}
          <div class="limits">
            {@render iceboxField(
              alloy,
              'dueMinutes',
              `Alloy ${alloy}, due, min`,
              String(guided.dueMinutes)
            )}
            {@render iceboxField(
              alloy,
              'limitMinutes',
              `Alloy ${alloy}, limit, min`,
              String(guided.limitMinutes)
            )}
            {@render iceboxField(alloy, 'data', `Alloy ${alloy}, source`, RULES.onlyWhereLonger)}
          </div>
        {/each}
      </fieldset>

      <h2>Limits</h2>
      <div class="limits">
        {#each LIMITS as limit (limit.key)}
          {@render plainLimit(
            limit.key,
            `${limit.label}, ${limit.unit}`,
            limit.why,
            String(limit.of(profile.rules.multipliers)),
            `multipliers.${limit.key}`
          )}
        {/each}
        {#each SHOP_COUNTS as { key, label, why } (key)}
          {@render plainLimit(key, `${label}, heads`, why, String(profile.rules[key]), key)}
        {/each}
        {#each SHOP_LENGTHS.filter(({ beside }) => beside === null) as length (length.key)}
          <div class="limit">{@render shopLength(length)}</div>
        {/each}
      </div>
    </section>

    <SaveRules
      {said}
      {refusal}
      version={profile.rules.version}
      latest={profile.id === latest?.id ? null : (latest ?? null)}
      {problems}
      {differ}
      ready={draft?.success === true}
      signedIn={data.person !== null}
      bind:note
      bind:name
      onlatest={choose}
      onsave={() => void save()}
    />
  {/if}
</div>

<style>
  .rules {
    display: grid;
    grid-template-columns: 290px minmax(0, 1fr);
    grid-template-rows: auto minmax(0, 1fr) auto;
    height: 100%;
  }
  header {
    grid-column: 1 / -1;
    padding: 1.4rem var(--page-edge) 10px;
    background: var(--panel);
    border-bottom: 1.5px solid var(--line);
  }
  .schools {
    display: flex;
    flex-direction: column;
    gap: 14px;
    padding: 14px var(--page-edge);
    overflow-y: auto;
  }
  fieldset {
    min-width: 0;
  }
  legend {
    font-family: var(--head-font);
    font-weight: 600;
    font-size: 1.1rem;
  }
  .options {
    display: grid;
    grid-template-columns: repeat(auto-fit, minmax(240px, 1fr));
    gap: 8px;
    margin: 4px 0;
  }
  .house {
    max-width: 240px;
  }
  .options input {
    flex-shrink: 0;
    width: 20px;
    height: 20px;
    accent-color: var(--ink);
  }
  .options label {
    display: flex;
    gap: 10px;
    min-height: 44px;
    padding: 10px 12px;
    border: 1.5px solid var(--line-strong);
    border-radius: 8px;
    background: var(--panel);
    cursor: pointer;
  }
  .options .on {
    border-color: var(--ink);
    border-width: 2.5px;
    background: var(--olive-soft);
  }
  .limits {
    display: grid;
    grid-template-columns: repeat(auto-fill, minmax(230px, 1fr));
    gap: 10px 18px;
  }
  @media (max-width: 900px) {
    .rules {
      display: block;
      height: auto;
    }
  }
</style>
