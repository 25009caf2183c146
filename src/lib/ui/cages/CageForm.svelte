<script lang="ts">
  import { CAGES } from '$lib/words/pages/cages';
  import { Cage, type EnteredCage } from '$core/ready/cage/cage.ts';
  import { problemsOf } from '$core/schema/read.ts';
  import { addCageAt } from '$lib/api/cages.ts';
  import { call } from '$lib/client/call';
  import Choice from '../kit/Choice.svelte';
  import LengthField from '../kit/LengthField.svelte';
  import TextField from '../kit/TextField.svelte';

  /** A cage with the cutter and pilot that are in it. */
  interface Props {
    /** it is there now; its id */
    ondone: (id: string) => void;
  }
  let { ondone }: Props = $props();
  const DEGS = [100, 110, 120] as const;
  let name = $state('');
  let cutter = $state('');
  let deg = $state<(typeof DEGS)[number]>(100);
  let lengths = $state({ cutterIn: '', pilotIn: '', pilotLengthIn: '' });
  let refusal = $state('');
  /** the same while it is sent again: a repeat is stored once */
  let id = crypto.randomUUID();
  const FIELDS = [
    { key: 'cutterIn', label: CAGES.cutterDiameter },
    { key: 'pilotIn', label: CAGES.pilotDiameter },
    { key: 'pilotLengthIn', label: CAGES.pilotLength }
  ] as const;
  const entered = $derived<EnteredCage>({ name, cutter, cutterDeg: deg, ...lengths });
  const read = $derived(Cage.safeParse(entered, { reportInput: true }));
  const problems = $derived(
    new Map(read.success ? [] : problemsOf(read.error).map(({ path, said }) => [path, said]))
  );
  const problemOf = (key: (typeof FIELDS)[number]['key']) => {
    const said = problems.get(key);
    return said === undefined || lengths[key].trim() === '' ? undefined : { said, instead: null };
  };
  async function add(event: SubmitEvent): Promise<void> {
    event.preventDefault();
    if (!read.success) return;
    const reply = await call(addCageAt, undefined, { id, cage: read.data });
    if (reply.reached && reply.ok) {
      ondone(id);
      name = cutter = '';
      lengths = { cutterIn: '', pilotIn: '', pilotLengthIn: '' };
      id = crypto.randomUUID();
      refusal = '';
    } else
      refusal = reply.reached
        ? reply.message
        : 'The server cannot be reached. Nothing typed is lost: send it again.';
  }
</script>

<form onsubmit={add} aria-labelledby="new-cage">
  <h2 id="new-cage" class="label">A cage with its cutter and pilot</h2>
  <TextField
    name="cage"
    label={CAGES.cage}
    maxlength={40}
    bind:value={name}
    hint="as on its tape"
  />
  <TextField
    name="cutter"
    label={CAGES.cutter}
    maxlength={40}
    bind:value={cutter}
    hint="its number or mark"
  />
  <Choice
    label="Angle of the cutter"
    value={String(deg)}
    options={DEGS.map((value) => ({ value: String(value), text: `${value}°` }))}
    onchoose={(value) => (deg = DEGS.find((one) => String(one) === value) ?? 100)}
  />
  {#each FIELDS as { key, label } (key)}
    <LengthField
      {label}
      value={lengths[key]}
      problem={problemOf(key)}
      oninput={(text) => (lengths = { ...lengths, [key]: text })}
    />
  {/each}
  <p class="hint">△ Disconnect the air before touching the cutter.</p>
  {#if refusal !== ''}<p class="wrong" role="alert">{refusal}</p>{/if}
  <button class="act main" disabled={!read.success}>{CAGES.saveCage}</button>
</form>

<style>
  form {
    display: grid;
    grid-template-columns: minmax(0, 1fr);
    gap: 8px;
  }
  .wrong {
    color: var(--brick);
  }
</style>
