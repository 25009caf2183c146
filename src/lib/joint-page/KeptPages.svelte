<script lang="ts">
  import type { Clocked } from '$lib/client/outbox.svelte';
  import { keepPagesSoon } from '$lib/client/kept-pages';
  import { STATIONS } from '$lib/stations/stations.ts';

  /** The joint's pages open without the server as they stand now, whenever all that was logged here is stored. */
  interface Props {
    joint: string;
    outboxes: readonly (Pick<Clocked, 'waiting'> | undefined)[];
  }
  let { joint, outboxes }: Props = $props();
  const unsent = $derived(outboxes.reduce((sum, box) => sum + (box?.waiting.length ?? 0), 0));
  $effect(() => {
    if (unsent === 0)
      keepPagesSoon(['/', '/waiting', ...STATIONS.map(({ key }) => `/joints/${joint}/${key}`)]);
  });
</script>
