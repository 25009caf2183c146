<script lang="ts">
  import { Popover, Portal } from '@skeletonlabs/skeleton-svelte';

  /** A few words beside what they are about. */
  interface Props {
    text: string;
    beside: Element;
    onclose: () => void;
  }
  let { text, beside, onclose }: Props = $props();
</script>

{#key beside}
  <Popover
    open
    autoFocus={false}
    onOpenChange={(details) => !details.open && onclose()}
    positioning={{ placement: 'top', getAnchorRect: () => beside.getBoundingClientRect() }}
  >
    <Portal>
      <Popover.Positioner>
        <Popover.Content role="tooltip" data-testid="hint">{text}</Popover.Content>
      </Popover.Positioner>
    </Portal>
  </Popover>
{/key}
