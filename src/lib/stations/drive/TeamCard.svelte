<script lang="ts">
  import { DRIVE } from '$lib/words/pages/drive';
  import Choice from '../../ui/kit/Choice.svelte';
  import type { DriveDesk } from './drive-desk.svelte';
  import type { LiveTeam } from './live-team.svelte';

  /** Two people, each with a device: ready, go, stop; good or more from the far side. */
  interface Props {
    team: LiveTeam;
    desk: DriveDesk;
    person: string;
  }
  let { team, desk, person }: Props = $props();
  const state = $derived(team.state);
  const other = $derived(team.other);
  const ROLES = [
    { value: 'alone', text: 'alone' },
    { value: 'gun', text: DRIVE.withTheGun },
    { value: 'bar', text: DRIVE.withTheBar }
  ] as const;
  const THEIR = { gun: 'bar', bar: 'gun' } as const;
  const WORD = { idle: 'not ready yet', ready: 'READY', go: 'GO', stop: 'STOP' } as const;
</script>

<section class="team" aria-label="Two people" data-testid="team">
  <Choice
    label="My role"
    value={team.role ?? 'alone'}
    options={ROLES}
    onchoose={(value) => team.take(value === 'alone' ? null : value)}
  />
  {#if state && team.role}
    {@const theirs = THEIR[team.role]}
    <p
      class="word"
      class:fire={state.fire}
      class:stop={state.link === 'silent' || team.call === 'stop' || other?.word.call === 'stop'}
      role="status"
      data-testid="team-word"
    >
      {#if state.link === 'alone'}
        No {theirs} operator connected. Do not fire.
      {:else if state.link === 'silent'}
        ✕ No signal from {other?.by} ({theirs}) for {Math.floor(state.silentS ?? 0)} s. Stop: do not fire.
      {:else if state.link === 'apart'}
        △ {other?.by} is at hole {other?.word.hole ?? '–'}, you are at hole {desk.here ?? '–'}. Do
        not fire.
      {:else if state.fire}
        ● GO on {desk.here}: {team.role === 'gun' ? 'fire' : 'hold the bar'}
      {:else}
        {other?.by} ({theirs}): {WORD[other?.word.call ?? 'idle']} · you: {WORD[team.call]}
      {/if}
    </p>
    {#if person !== ''}
      <div class="calls">
        {#if team.role === 'bar'}
          <button
            class="act main"
            type="button"
            disabled={!state.may.includes('ready')}
            onclick={() => team.say('ready')}>{DRIVE.ready}</button
          >
        {:else}
          <button
            class="act main"
            type="button"
            disabled={!state.may.includes('go')}
            onclick={() => team.say('go')}>{DRIVE.go}</button
          >
        {/if}
        <button class="act halt" type="button" onclick={() => team.say('stop')}>{DRIVE.stop}</button
        >
        {#if team.call === 'stop'}
          <button class="act" type="button" onclick={() => team.say('idle')}>{DRIVE.onAgain}</button
          >
        {/if}
      </div>
    {/if}
  {/if}
</section>

<style>
  .team {
    display: grid;
    gap: 8px;
  }
  .word {
    padding: 10px 14px;
    border-radius: 10px;
    background: var(--bench);
    font-size: 1.2rem;
    font-weight: 700;
  }
  .fire {
    background: var(--olive-fill);
    color: var(--on-olive);
    font-size: 1.5rem;
  }
  .stop {
    background: var(--brick-soft);
    color: var(--brick);
  }
  .calls {
    display: flex;
    gap: 8px;
  }
  .calls > button {
    flex: 1;
    min-height: 64px;
    padding: 0 8px;
    font-size: 1.15rem;
  }
  .halt {
    border-color: var(--brick-line);
    color: var(--brick);
  }
</style>
