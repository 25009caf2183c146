<script lang="ts" module>
  /** What was seen of a dimple; null while nobody said. */
  export interface DimpleSeen {
    cracks: boolean | null;
    ring: boolean | null;
    nests: boolean | null;
  }
  export const NOT_SEEN: DimpleSeen = { cracks: null, ring: null, nests: null };
  /** @returns null while one is not answered */
  export const asSeen = ({ cracks, ring, nests }: DimpleSeen) =>
    cracks === null || ring === null || nests === null ? null : { cracks, ring, nests };
</script>

<script lang="ts">
  import { COMMON } from '$lib/words/pages/common';
  import { TOOLS } from '$lib/words/pages/tools';
  import YesNo from '../kit/YesNo.svelte';

  /** The three looks at a dimple, each answered. */
  interface Props {
    seen: DimpleSeen;
  }
  let { seen = $bindable() }: Props = $props();
</script>

<YesNo
  testid="cracks"
  label="Cracks (use a magnifier)"
  yes={TOOLS.cracks}
  no="none"
  bind:value={seen.cracks}
/>
<YesNo
  testid="ring"
  label="Ring pressed around the dimple"
  yes="a ring"
  no="none"
  bind:value={seen.ring}
/>
<YesNo
  testid="nests"
  label={TOOLS.headOrNextDimpleIn}
  yes={TOOLS.liesFlush}
  no={COMMON.doesNot}
  bind:value={seen.nests}
/>
