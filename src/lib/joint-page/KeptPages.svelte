<script lang="ts">
  import { keepPagesSoon } from '$lib/client/kept-pages';
  import type { OpenJoint } from '$lib/stations/station';
  import { STATIONS } from '$lib/stations/stations.ts';

  /** The joint's pages open without the server as they stand now, whenever all that was logged here is stored. */
  interface Props {
    joint: string;
    open: OpenJoint;
  }
  let { joint, open }: Props = $props();
  const unsent = $derived(
    STATIONS.flatMap((station) => station.outboxes(open)).reduce(
      (sum, box) => sum + (box?.waiting.length ?? 0),
      0
    )
  );
  $effect(() => {
    if (unsent === 0)
      keepPagesSoon(['/', '/waiting', ...STATIONS.map(({ key }) => `/joints/${joint}/${key}`)]);
  });
</script>
