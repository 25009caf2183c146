<script lang="ts">
  import type { Plan } from '$core/plan/plan-shape.ts';
  import { billOfRivets, USUAL_SPARES } from '$core/stack/bill-of-rivets.ts';
  import { useStock } from '$lib/client/stock';
  import BillTable from '../../ui/joint/BillTable.svelte';
  import RivetTray from './RivetTray.svelte';
  import Sheet from '../../ui/kit/Sheet.svelte';

  /** What this joint takes from stock. */
  interface Props {
    open: boolean;
    plan: Plan;
    onclose: () => void;
  }
  let { open, plan, onclose }: Props = $props();
  const stock = useStock();
  const bill = $derived(
    billOfRivets({
      needs: plan.stacks.flatMap(({ length, rivets }) =>
        length.ok ? [{ partNumber: length.result.partNumber, count: rivets }] : []
      ),
      spares: USUAL_SPARES,
      onHand: { ...stock.onHand }
    })
  );
</script>

<Sheet title="Rivet list, this joint" {open} {onclose}>
  {#if bill.ok && bill.result.lines.length > 0}<RivetTray lines={bill.result.lines} />{/if}
  <BillTable {bill} />
  <p class="hint">Open holes are not counted. The list for the whole job is on the job page.</p>
</Sheet>
