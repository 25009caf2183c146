<script lang="ts">
  import { DRIVE } from '$lib/words/pages/drive';
  import { COMMON } from '$lib/words/pages/common';
  import { untrack } from 'svelte';
  import { SIDES, type DrivingAccess } from '$core/driving/access.ts';
  import { SIDE_WORDS } from '$lib/words/driving';
  import Choice from '../../ui/kit/Choice.svelte';
  import LengthField from '../../ui/kit/LengthField.svelte';
  import Sheet from '../../ui/kit/Sheet.svelte';
  import { told } from '$core/refusal-said.ts';
  import { accessOf, newUpstand, typedOf } from './access-fields';

  /** How one gets at the rivets: asked once for a release, kept with who said it. */
  interface Props {
    open: boolean;
    access: DrivingAccess | null;
    onsave: (access: DrivingAccess) => void;
    onclose: () => void;
  }
  let { open, access, onsave, onclose }: Props = $props();
  let typed = $state(untrack(() => typedOf(access)));
  const read = $derived(accessOf(typed));
  let asked = $state(false);
  const problem = (key: string, empty = false) => {
    const why = read.wrong.get(key);
    return why === undefined || (empty && !asked) ? undefined : { said: told(why), instead: null };
  };
  const YES_NO = [
    { value: 'yes', text: 'yes' },
    { value: 'no', text: 'no' }
  ] as const;
  const MEMBER = [
    { key: 'near', label: DRIVE.outsideHeightDatumEnd, needed: true },
    { key: 'far', label: DRIVE.outsideHeightFarEnd, needed: true },
    { key: 'walls', label: DRIVE.bothWallsTogetherDatumEnd, needed: true },
    { key: 'wallsFar', label: DRIVE.bothWallsTogetherFarEnd, needed: true },
    { key: 'offset', label: DRIVE.rodAndBarOffset, needed: false }
  ] as const;
  const QUESTIONS = [
    { key: 'armsReach', label: 'One person can reach both sides' },
    { key: 'faceDown', label: 'The part can lie face down on a plate' },
    { key: 'closedMember', label: DRIVE.insideAClosedMember }
  ] as const;

  function save(event: SubmitEvent): void {
    event.preventDefault();
    asked = true;
    if (!read.access) return;
    onsave(read.access);
    onclose();
  }
</script>

<Sheet title="Access to the rivets" {open} {onclose}>
  <form onsubmit={save} novalidate>
    {#each QUESTIONS as { key, label } (key)}
      <Choice
        {label}
        testid={key}
        value={typed[key] === null ? '' : typed[key] ? 'yes' : 'no'}
        options={YES_NO}
        onchoose={(value) => (typed[key] = value === 'yes')}
      />
      {#if asked && typed[key] === null}<p class="wrong" role="alert">
          △ Not answered: yes or no.
        </p>{/if}
    {/each}
    {#if typed.closedMember}
      <fieldset>
        <legend class="label">Member dimensions</legend>
        <div class="four">
          {#each MEMBER as { key, label, needed } (key)}
            <LengthField
              testid="member-{key}"
              {label}
              value={typed.member[key]}
              oninput={(value) => (typed.member[key] = value)}
              problem={problem(`member.${key}`, typed.member[key].trim() === '')}
              whenEmpty={needed ? 'needed' : 'none'}
            />
          {/each}
        </div>
        <Choice
          label="Rod inserted from"
          value={typed.member.from}
          options={[
            { value: 'left', text: 'datum end' },
            { value: 'right', text: 'far end' }
          ]}
          onchoose={(from) => (typed.member.from = from)}
        />
      </fieldset>
    {/if}
    <fieldset>
      <legend class="label">Free edges for the yoke</legend>
      <p class="hint">
        Distance from the joint outline to the free edge. 0: the outline is the edge. Blank: no yoke
        access from this side.
      </p>
      <div class="four">
        {#each SIDES as side (side)}
          <LengthField
            testid="edge-{side}"
            label="{SIDE_WORDS[side]} edge"
            value={typed.edges[side]}
            oninput={(value) => (typed.edges[side] = value)}
            problem={problem(`edges.${side}`)}
            whenEmpty="no way in"
          />
        {/each}
      </div>
    </fieldset>
    <div class="four">
      <LengthField
        label="Clearance at manufactured heads"
        value={typed.headRoom}
        oninput={(value) => (typed.headRoom = value)}
        problem={problem('headRoom')}
        whenEmpty="unobstructed"
      />
      <LengthField
        label="Clearance at shop heads"
        value={typed.shopRoom}
        oninput={(value) => (typed.shopRoom = value)}
        problem={problem('shopRoom')}
        whenEmpty="unobstructed"
      />
    </div>
    <fieldset>
      <legend class="label">Obstructions next to the rivets: flanges, stiffeners, webs</legend>
      {#each typed.upstands as upstand, at (upstand.id)}
        <div class="upstand">
          <Choice
            label="Along the … side"
            value={upstand.side}
            options={SIDES.map((side) => ({ value: side, text: SIDE_WORDS[side] }))}
            onchoose={(side) => (upstand.side = side)}
          />
          <LengthField
            label="Distance from outline"
            value={upstand.inset}
            oninput={(value) => (upstand.inset = value)}
            problem={problem(`${upstand.id}.inset`, upstand.inset.trim() === '')}
            whenEmpty="needed"
          />
          <LengthField
            label="Height"
            value={upstand.height}
            oninput={(value) => (upstand.height = value)}
            problem={problem(`${upstand.id}.height`, upstand.height.trim() === '')}
            whenEmpty="needed"
          />
          <Choice
            label="On the side of the"
            value={upstand.on}
            options={[
              { value: 'head', text: 'manufactured heads' },
              { value: 'shop', text: 'shop heads' }
            ]}
            onchoose={(on) => (upstand.on = on)}
          />
          <button class="act" type="button" onclick={() => typed.upstands.splice(at, 1)}
            >Remove</button
          >
        </div>
      {/each}
      <button
        class="act"
        type="button"
        disabled={typed.upstands.length >= 12}
        onclick={() => typed.upstands.push(newUpstand())}>Add obstruction</button
      >
    </fieldset>
    {#if asked && !read.access}
      <p data-testid="not-kept" class="wrong" role="alert">Not saved. Check the fields above.</p>
    {/if}
    <button class="act main" type="submit">{COMMON.keepIt}</button>
  </form>
</Sheet>

<style>
  form,
  fieldset {
    display: grid;
    gap: 12px;
  }
  .four {
    display: grid;
    grid-template-columns: repeat(auto-fit, minmax(150px, 1fr));
    gap: 10px;
  }
  .upstand {
    display: grid;
    gap: 8px;
    padding: 10px;
    border: 1.5px solid var(--line);
    border-radius: 8px;
  }
  .wrong {
    color: var(--brick);
  }
</style>
