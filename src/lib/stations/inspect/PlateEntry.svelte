<script lang="ts">
  import { COMMON } from '$lib/words/pages/common';
  import { plateDueInDays, type ShopPlate } from '$core/devices/shop-plate.ts';
  import type { PlateUsed } from '$core/inspect/plate-look.ts';
  import type { TypedLook } from './typed-look.ts';
  import Length from '../../ui/kit/Length.svelte';
  import Notice from '../../ui/kit/Notice.svelte';
  import Pick from '../../ui/kit/Pick.svelte';
  import YesNo from '../../ui/kit/YesNo.svelte';

  /** A head held against a gauge plate: two answers, and where the plate has upper ones two more. */
  interface Props {
    typed: TypedLook;
    plate: PlateUsed | null;
    /** plates of the shop that have this size */
    plates: readonly ShopPlate[];
    chosen: string;
    onchoose: (plate: string) => void;
    onanswer: (change: Partial<TypedLook>) => void;
    dash: number;
    /** the sheet is dimpled through: the notch's feet stand on the dimple */
    dimpled: boolean;
  }
  let { typed, plate, plates, chosen, onchoose, onanswer, dash, dimpled }: Props = $props();
  const own = $derived(plates.find(({ id }) => id === chosen) ?? plates[0]);
  const late = $derived(own !== undefined && plateDueInDays(own, Date.now()) < 0);
</script>

{#if plate === null}
  <Notice level="attention" title="No plate for dash {dash}">
    <p>
      Make and measure a plate under <a href="/gauge">{COMMON.gaugePlate}</a>. It then appears here.
    </p>
  </Notice>
{:else}
  {#if plates.length > 1}
    <Pick
      label="Plate"
      value={own?.id ?? ''}
      options={plates.map(({ id, name }) => ({ value: id, text: name }))}
      onchoose={(id) => onchoose(id)}
    />
  {/if}
  {#if late}
    <Notice
      level="attention"
      title="{plate.name}: re-measure"
      text="Re-measure its holes and notches; a worn plate passes bad heads."
    />
  {/if}
  <div class="asks" data-testid="plate-asks">
    <div>
      <p class="hint">
        lower hole <Length lengthIn={plate.headHoleIn} decimal />, gauge and head clean
      </p>
      <YesNo
        label="Over the head?"
        yes="goes over"
        no={COMMON.doesNot}
        bind:value={() => typed.fitsOver, (fitsOver) => onanswer({ fitsOver, upperFits: null })}
      />
    </div>
    <div>
      <p class="hint">
        lower notch <Length lengthIn={plate.notchIn} decimal />, feet {dimpled
          ? 'on the dimple, not on the sheet around it'
          : 'toward the sheet'}
      </p>
      <YesNo
        label={dimpled ? 'Feet on the dimple?' : 'Feet on the sheet?'}
        yes="touch"
        no="do not"
        bind:value={
          () => typed.touchesSheet, (touchesSheet) => onanswer({ touchesSheet, upperTouches: null })
        }
      />
    </div>
    {#if plate.upperHoleIn !== null && typed.fitsOver === false && typed.touchesSheet === false}
      <div>
        <p class="hint">upper hole <Length lengthIn={plate.upperHoleIn} decimal /></p>
        <YesNo
          label="Upper hole over the head?"
          yes="goes over"
          no={COMMON.doesNot}
          bind:value={() => typed.upperFits, (upperFits) => onanswer({ upperFits })}
        />
      </div>
    {/if}
    {#if plate.upperNotchIn !== null && typed.fitsOver === false && typed.touchesSheet === false}
      <div>
        <p class="hint">upper notch <Length lengthIn={plate.upperNotchIn} decimal /></p>
        <YesNo
          label="Upper notch, feet on the sheet?"
          yes="touch"
          no="do not"
          bind:value={() => typed.upperTouches, (upperTouches) => onanswer({ upperTouches })}
        />
      </div>
    {/if}
  </div>
{/if}

<style>
  .asks {
    display: grid;
    grid-template-columns: repeat(auto-fit, minmax(min(100%, 200px), 1fr));
    gap: 8px 14px;
  }
</style>
