<script lang="ts">
  import { onMount, untrack, type Snippet } from 'svelte';
  import { goto } from '$app/navigation';
  import Redo2 from '@lucide/svelte/icons/redo-2';
  import Undo2 from '@lucide/svelte/icons/undo-2';
  import { tinykeys } from 'tinykeys';
  import type { HoleEvent } from '$core/check/hole-events.ts';
  import type { Issue } from '$core/issue/issue.ts';
  import type { EnteredJoint } from '$core/kinds/joint.ts';
  import type { RuleProfile } from '$core/rules/profile.ts';
  import { LengthStyle } from '$core/units/format-length.ts';
  import { CheckDesk } from '$lib/stations/check/check-desk.svelte';
  import { provideIssueDesk } from '$lib/stations/check/issue-desk';
  import { provideReadyDesk, ReadyDesk } from '$lib/stations/make-ready/ready-desk.svelte';
  import { provideStock } from '$lib/client/stock';
  import { whenIdle } from '$lib/client/when-idle';
  import { outsideFields } from '$lib/client/keys';
  import { usePreferences } from '$lib/client/preferences.svelte';
  import { provideWorkspace, Workspace } from '$lib/client/workspace.svelte';
  import { STATIONS, type StationKey } from '$lib/stations/stations.ts';
  import Choice from '../ui/kit/Choice.svelte';
  import KeysSheet from './KeysSheet.svelte';
  import LeftBehind from './LeftBehind.svelte';
  import RulesSheet from './RulesSheet.svelte';
  import SavedState from './SavedState.svelte';
  import StaleSheet from './StaleSheet.svelte';
  import StationLine from './StationLine.svelte';

  /** One joint: its name, whether it is saved, the seven stations, and the one being worked at. */
  interface Props {
    joint: {
      id: string;
      job: { id: string; number: string; place: string; data: string };
      title: string;
      definition: EnteredJoint;
      revision: number;
      profileId: string;
      savedAt: string;
      savedBy: string | null;
      profile: RuleProfile;
    };
    issue: Issue | null;
    events: HoleEvent[];
    ready: ConstructorParameters<typeof ReadyDesk>[1];
    /** who is at the bench; empty when nobody said */
    person: string;
    /** rivets in the bins, by part number */
    onHand: Readonly<Record<string, number>>;
    station: StationKey;
    children: Snippet;
  }
  let { joint, issue, events, ready, person, onHand, station, children }: Props = $props();
  const preferences = usePreferences();
  const workspace = provideWorkspace(untrack(() => new Workspace(joint)));
  // A new issue gets a new desk; the readings of one issue stay with it.
  const desk = $derived.by(() => {
    const current = issue;
    return current === null ? null : untrack(() => new CheckDesk(current, events));
  });
  provideIssueDesk({
    get issue() {
      return issue;
    },
    get desk() {
      return desk;
    },
    get person() {
      return person;
    }
  });
  const readyDesk = provideReadyDesk(untrack(() => new ReadyDesk(joint.id, ready, person)));
  provideStock({
    get onHand() {
      return onHand;
    }
  });
  const status = $derived(
    Object.fromEntries(
      STATIONS.map((one) => [one.key, one.status({ workspace, issue, desk, ready: readyDesk })])
    )
  );
  // Steps are no part of typing: they are counted once the plan stands still.
  $effect(() => {
    const { now } = workspace;
    readyDesk.count(now === null ? null : { ...now, profile: workspace.profile });
  });
  let keysOpen = $state(false);
  let rulesOpen = $state(false);

  const LENGTHS: { value: LengthStyle; text: string; title: string }[] = [
    { value: '1/32', text: '1/32', title: 'fractions to 1/32 in' },
    { value: '1/64', text: '1/64', title: 'fractions to 1/64 in' },
    { value: 'decimal', text: '.001', title: 'decimal inches' },
    { value: 'thou', text: 'thou', title: 'thousandths of an inch' },
    { value: 'mm', text: 'mm', title: 'millimetres' }
  ];

  $effect(() => {
    const open = desk;
    if (!open) return;
    void untrack(() => open.restore());
    return () => open.stop();
  });

  onMount(() => {
    void workspace.restoreKept(joint);
    void readyDesk.restore();
    // Stations are gone through without a server too.
    const forget = whenIdle(() =>
      Promise.all(STATIONS.map(({ page }) => (typeof page === 'function' ? page() : null)))
    );
    const go = (key: StationKey) => void goto(`/joints/${joint.id}/${key}`);
    const nextLengths = () => {
      const at = LengthStyle.options.indexOf(preferences.lengths);
      preferences.setLengths(LengthStyle.options[(at + 1) % LengthStyle.options.length] ?? '1/64');
    };
    const holes = () =>
      (station === 'check' ? issue?.holes : workspace.shown?.plan.holes)?.map(
        ({ number }) => number
      ) ?? [];
    const always = (action: () => void) => (event: KeyboardEvent) => {
      event.preventDefault();
      action();
    };
    const unbind = tinykeys(window, {
      ...Object.fromEntries(
        STATIONS.map(({ key }, index) => [String(index + 1), outsideFields(() => go(key))])
      ),
      '[': outsideFields(() => workspace.step(-1, holes())),
      ']': outsideFields(() => workspace.step(1, holes())),
      Escape: () => document.activeElement instanceof HTMLElement && document.activeElement.blur(),
      u: outsideFields(nextLengths),
      a: outsideFields(() => (workspace.arithmetic = !workspace.arithmetic)),
      // some layouts reach it without Shift
      '?': outsideFields(() => (keysOpen = true)),
      'Shift+?': outsideFields(() => (keysOpen = true)),
      '$mod+z': always(() => workspace.undo()),
      '$mod+Shift+z': always(() => workspace.redo()),
      '$mod+y': always(() => workspace.redo())
    });
    const onhide = () => {
      if (document.visibilityState === 'hidden') void workspace.save.flush(true);
    };
    document.addEventListener('visibilitychange', onhide);
    return () => {
      forget();
      unbind();
      readyDesk.stop();
      document.removeEventListener('visibilitychange', onhide);
      void workspace.save.flush();
    };
  });
</script>

<div class="joint">
  <header>
    <div class="name">
      <input
        class="title"
        aria-label="Name of the joint"
        value={workspace.title}
        maxlength="80"
        aria-invalid={workspace.nameMissing}
        placeholder="needs a name; the last one is kept until then"
        oninput={(event) => workspace.rename(event.currentTarget.value)}
      />
      <p class="hint">
        <a href="/jobs/{joint.job.id}">Job {joint.job.number}</a> ·
        <button class="rules" type="button" onclick={() => (rulesOpen = true)}
          >Rules {joint.profile.name} {joint.profile.version}</button
        >
        · {joint.job.place} · data: {joint.job.data}
      </p>
    </div>
    <SavedState state={workspace.save.state} />
    <div class="history">
      <button
        class="act small"
        type="button"
        disabled={!workspace.canUndo}
        onclick={() => workspace.undo()}
        aria-label="Undo"
        data-hint="Undo (Ctrl Z)"><Undo2 size={18} /></button
      >
      <button
        class="act small"
        type="button"
        disabled={!workspace.canRedo}
        onclick={() => workspace.redo()}
        aria-label="Redo"
        data-hint="Redo (Ctrl Shift Z)"><Redo2 size={18} /></button
      >
    </div>
    <Choice
      label="Lengths in"
      quiet
      value={preferences.lengths}
      options={LENGTHS}
      onchoose={(style) => preferences.setLengths(style)}
    />
    <button
      class="act"
      type="button"
      aria-pressed={workspace.arithmetic}
      onclick={() => (workspace.arithmetic = !workspace.arithmetic)}
      data-hint="Open every number to its arithmetic (A)">Σ Arithmetic</button
    >
    <button
      class="act small keys"
      type="button"
      onclick={() => (keysOpen = true)}
      aria-label="All keys">?</button
    >
  </header>
  <LeftBehind texts={workspace.save.unreadable} title={workspace.title} />
  <StationLine jointId={joint.id} current={station} {status} />
  <div class="station">{@render children()}</div>
</div>

{#if workspace.save.state.kind === 'stale'}
  <StaleSheet theirs={workspace.save.state.theirs} {workspace} />
{/if}
<RulesSheet open={rulesOpen} profileId={joint.profileId} onclose={() => (rulesOpen = false)} />
<KeysSheet open={keysOpen} onclose={() => (keysOpen = false)} />

<style>
  .joint {
    display: grid;
    grid-template-columns: minmax(0, 1fr);
    grid-template-rows: auto auto minmax(0, 1fr);
    height: 100%;
    min-width: 0;
  }
  header {
    display: flex;
    align-items: center;
    gap: 10px;
    padding: 6px 14px 6px 16px;
    background: var(--panel);
  }
  .name {
    flex: 1;
    min-width: 0;
  }
  .title {
    width: 100%;
    padding: 2px 4px;
    margin-left: -4px;
    background: transparent;
    border: 1.5px solid transparent;
    border-radius: 6px;
    font-family: var(--head-font);
    font-weight: 600;
    font-size: 1.25rem;
    text-overflow: ellipsis;
  }
  .title:hover {
    border-color: var(--line-strong);
  }
  .name .hint {
    white-space: nowrap;
    overflow: hidden;
    text-overflow: ellipsis;
  }
  .rules {
    cursor: pointer;
  }
  .rules,
  .name a {
    text-decoration: underline;
  }
  .history {
    display: flex;
    gap: 4px;
  }
  [aria-pressed='true'] {
    background: var(--ink);
    color: var(--paper);
  }
  .station {
    min-height: 0;
    min-width: 0;
  }
  @media (max-width: 900px) {
    header {
      flex-wrap: wrap;
    }
    .name {
      flex-basis: 100%;
    }
  }
  @media (max-width: 600px) {
    .history,
    .keys {
      display: none;
    }
  }
</style>
