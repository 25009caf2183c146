<script lang="ts">
  import { DRIVE } from '$lib/words/pages/drive';
  import { cold, ASSUMED_PER_RIVET_S, type RunningBatch } from '$lib/client/cold.svelte';
  import { timesInWords } from '$lib/words/icebox';
  import { clockText } from './clock-text';

  /** Batches out of the cold, each with its clock. */
  const SIGN = { ok: '◔', due: '△', expired: '✕', 'no-limit': '' } as const;
  const WORD = { ok: 'drive', due: DRIVE.dueDriveNow, expired: 'expired', 'no-limit': '' } as const;
  const toDo = ({ now, untold, canDrive, left }: RunningBatch) =>
    untold
      ? 'clock changed, time out unknown. Do not drive; record as leftovers'
      : now.state === 'expired'
        ? 'do not drive; record as leftovers'
        : `${canDrive === left ? 'time for all' : `time for ${canDrive}`} at ${Math.round(cold.perRivetS ?? ASSUMED_PER_RIVET_S)} s per rivet${cold.perRivetS === null ? ' (assumed)' : ''}`;
  /** not all of them can be driven in time */
  const short = ({ now, canDrive, left }: RunningBatch) =>
    now.state !== 'expired' && canDrive < left;
</script>

{#if cold.running.length > 0}
  <section class="cold" aria-label="Icebox rivets out" data-testid="cold-clocks">
    {#each cold.running as batch (batch.id)}
      <p class={batch.now.state} class:short={short(batch)} data-batch={batch.id}>
        <strong>{SIGN[batch.now.state]} {WORD[batch.now.state]}</strong>
        <span class="clock">{clockText(batch.now.remainingS ?? 0)}</span>
        <span>{batch.left} of {batch.count} {batch.partNumber}, lot {batch.lot}: {toDo(batch)}</span
        >
        {#if batch.times}<span data-testid="own-times"
            >{timesInWords(batch.partNumber, batch.times)}</span
          >{/if}
      </p>
    {/each}
  </section>
{/if}

<style>
  .cold {
    display: grid;
    gap: 2px;
    padding: 2px 6px;
    background: var(--rail);
  }
  p {
    display: flex;
    flex-wrap: wrap;
    align-items: baseline;
    gap: 2px 12px;
    padding: 4px 12px;
    border-radius: 8px;
    background: var(--panel);
    font-variant-numeric: tabular-nums;
  }
  .clock {
    font-size: 1.25rem;
    font-weight: 700;
  }
  .due,
  .short {
    background: var(--amber-soft);
    color: var(--amber);
  }
  .expired {
    background: var(--brick-soft);
    color: var(--brick);
  }
</style>
