<script lang="ts">
  import { STAGES, stagesOf, stageToOpen, type JointLine } from '$lib/api/job-lines.ts';
  import { STAGE_MARKS } from '$lib/words/stage-marks.ts';

  /** One joint in one line: its name, its rivets, how far it is at each stage, what has to be seen to. */
  interface Props {
    joint: JointLine;
    /** what has to be seen to is written out in full */
    whole?: boolean;
  }
  let { joint, whole = false }: Props = $props();
  const needs = $derived(joint.needs.length > 0 ? `△ ${joint.needs.join(' · ')}` : '');
  const marks = $derived(stagesOf(joint.stages));
  const said = $derived(
    marks
      .map((mark, at) => `${STAGES[at]?.[1] ?? ''} ${STAGE_MARKS[mark].says}`)
      .filter((_, at) => marks[at] !== 'not-begun')
      .join(', ')
  );
</script>

<a class="joint" class:whole href="/joints/{joint.id}/{stageToOpen(marks)}">
  <b>{joint.title}</b>
  <i>{joint.parts}</i>
  <s aria-label={said} role="img"
    >{#each marks as mark, at (at)}<u class={mark === 'not-begun' ? undefined : mark}
        >{STAGE_MARKS[mark].sign}</u
      >{/each}</s
  >
  <em
    >{#if whole}{needs}{:else}{#if joint.far !== ''}<i>{joint.far}</i>
      {/if}{needs}{/if}</em
  >
</a>

<!-- hundreds of lines: their parts go by their tags, which costs a line half its weight -->
<style>
  .joint {
    display: grid;
    grid-template-columns: minmax(0, 1.1fr) minmax(0, 1.1fr) 182px minmax(0, 1.4fr);
    align-items: center;
    column-gap: 14px;
    min-height: 44px;
    padding: 2px 14px;
    border-top: 1px solid var(--line);
    color: inherit;
    text-decoration: none;
  }
  .joint:hover {
    background: var(--olive-soft);
  }
  .joint > :global(:is(b, i, em)) {
    font-style: normal;
    overflow: hidden;
    text-overflow: ellipsis;
    white-space: nowrap;
  }
  .joint :global(i) {
    font-style: normal;
    color: var(--ink-soft);
    font-variant-numeric: tabular-nums;
  }
  .joint > :global(em) {
    color: var(--amber);
  }
  .joint > :global(em > i) {
    margin-inline-end: 10px;
  }
  .whole > :global(em) {
    white-space: normal;
  }
  .joint > :global(s) {
    display: grid;
    grid-template-columns: repeat(7, 26px);
    text-align: center;
    text-decoration: none;
  }
  .joint :global(u) {
    text-decoration: none;
    color: var(--ink-soft);
  }
  .joint :global(.done) {
    color: var(--olive-deep);
  }
  .joint :global(.blocked) {
    color: var(--brick);
    font-weight: 700;
  }
  @media (max-width: 900px) {
    .joint {
      grid-template-columns: minmax(0, 1fr) 182px;
      padding-block: 6px;
    }
    .joint > :global(i) {
      display: none;
    }
    .joint > :global(em) {
      grid-column: 1 / -1;
      white-space: normal;
    }
    .joint > :global(em:empty) {
      display: none;
    }
  }
  @media (max-width: 480px) {
    .joint {
      grid-template-columns: minmax(0, 1fr) 119px;
      column-gap: 8px;
      padding-inline: 10px;
    }
    .joint > :global(s) {
      grid-template-columns: repeat(7, 17px);
    }
  }
</style>
