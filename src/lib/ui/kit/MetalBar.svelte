<script lang="ts">
  import type { MetalAccount } from '$core/inspect/head-report.ts';
  import { metalInWords } from '$lib/words/heads';

  /** The head's volume against the prediction. */
  interface Props {
    metal: MetalAccount;
  }
  let { metal }: Props = $props();
  const text = $derived(metalInWords(metal));
  const MOST = 1.4;
  const place = (share: number) => `${(100 * Math.min(share, MOST)) / MOST}%`;
</script>

<section>
  <h3 class="label">Shop head volume vs. predicted</h3>
  <div class="bar" role="img" aria-label={text}>
    <span class="fill {metal.meaning}" style:width={place(metal.share)}></span>
    <span class="predicted" style:left={place(1)}></span>
  </div>
  <p>{text}</p>
  {#if metal.shareOfRow !== null}
    <p class="hint">{Math.round(metal.shareOfRow * 100)} % of this row’s average so far.</p>
  {/if}
</section>

<style>
  .bar {
    position: relative;
    height: 14px;
    margin: 4px 0 6px;
    border-radius: 7px;
    background: var(--bench);
  }
  .fill {
    position: absolute;
    inset: 0 auto 0 0;
    border-radius: 7px;
    background: var(--olive);
  }
  .fill.lost,
  .fill.row-lost,
  .fill.row-longer,
  .fill.longer {
    background: var(--amber-line);
  }
  .predicted {
    position: absolute;
    top: -4px;
    bottom: -4px;
    width: 2px;
    background: var(--ink);
  }
</style>
