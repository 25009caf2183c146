<script lang="ts">
  import { JOBS } from '$lib/words/pages/jobs';
  import { BENCH } from '$lib/words/pages/bench';
  import type { Workspace } from '$lib/client/workspace.svelte';
  import type { BenchProps } from './bench-props';
  import JointTools from './JointTools.svelte';
  import SavedState from './SavedState.svelte';

  /** The head of a joint’s pages: its name, where it belongs, whether it is saved, its rules. */
  interface Props {
    joint: BenchProps['joint'];
    workspace: Workspace;
    onkeys: () => void;
    onrules: () => void;
  }
  let { joint, workspace, onkeys, onrules }: Props = $props();
  // one line each, or the drawing below would change its scale as one types; the whole stands in the hint
  const place = $derived(`${joint.job.place} · data: ${joint.job.data}`);
  const rulesName = $derived(`Rules ${joint.profile.name} ${joint.profile.version}`);
</script>

<header>
  <div class="name">
    <input
      class="title"
      aria-label={BENCH.nameOfTheJoint}
      value={workspace.title}
      maxlength="80"
      aria-invalid={workspace.nameMissing}
      placeholder="Enter a name. The last name is kept until then."
      oninput={(event) => workspace.rename(event.currentTarget.value)}
    />
    <p class="hint place" data-hint={place}>
      {#if workspace.practice}<strong class="practice">{JOBS.forPractice}</strong
        >{:else}{place}{/if}
    </p>
  </div>
  <SavedState state={workspace.save.state} />
  <JointTools {onkeys}>
    <a class="to" href="/jobs/{joint.job.id}">Job {joint.job.number}</a>
    <button class="to rules" type="button" data-hint={rulesName} onclick={onrules}
      >{rulesName}</button
    >
  </JointTools>
</header>

<style>
  header {
    display: flex;
    align-items: center;
    gap: 10px;
    padding: 6px 14px 6px 16px;
    background: var(--panel);
  }
  .name {
    flex: 1;
    min-width: 9rem;
  }
  .title {
    width: 100%;
    min-height: 44px;
    margin-block: -5px -7px;
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
  .place {
    white-space: nowrap;
    overflow: hidden;
    text-overflow: ellipsis;
  }
  .practice {
    color: var(--amber);
  }
  .to {
    display: inline-flex;
    align-items: center;
    min-width: 44px;
    min-height: 44px;
    font-size: var(--small);
    text-decoration: underline;
    white-space: nowrap;
    cursor: pointer;
  }
  .to + .to {
    margin-left: 8px;
  }
  .rules {
    display: block;
    max-width: 11rem;
    overflow: hidden;
    text-overflow: ellipsis;
  }
  @media (max-width: 1150px) {
    .rules {
      max-width: 6rem;
    }
  }
  @media (max-width: 900px) {
    header {
      flex-wrap: wrap;
    }
    .rules {
      max-width: none;
    }
    .place:not(:has(.practice)) {
      display: none;
    }
  }
</style>
