<script lang="ts">
  import { CONNECTION } from '$lib/words/connection.ts';
  import { LAYOUT } from '$lib/words/pages/layout';
  import { usePreferences } from '$lib/client/preferences.svelte';
  import Download from '@lucide/svelte/icons/download';
  import { readJointFile } from '$core/exchange/joint-file.ts';
  import { kindOf } from '$core/kinds/joint.ts';
  import { RefusalBody } from '$lib/api/endpoint.ts';
  import { giveFile } from '$lib/client/give-file';
  import { textOf } from '$lib/client/read-file';
  import { useWorkspace } from '$lib/client/workspace.svelte';
  import Choice from '../../ui/kit/Choice.svelte';
  import Notice from '../../ui/kit/Notice.svelte';
  import Pick from '../../ui/kit/Pick.svelte';
  import PaperChoice from '../../ui/kit/PaperChoice.svelte';
  import Sheet from '../../ui/kit/Sheet.svelte';
  import { fileRefusalInWords } from '$lib/words/refusals';
  import FileDrop from '../../ui/kit/FileDrop.svelte';

  /** Files of this joint out, and a joint file in. */
  interface Props {
    open: boolean;
    onclose: () => void;
  }
  let { open, onclose }: Props = $props();
  const preferences = usePreferences();
  const workspace = useWorkspace();
  let refusal = $state('');
  let said = $state('');

  let part = $state('');
  let unit = $state<'in' | 'mm'>(preferences.lengths === 'mm' ? 'mm' : 'in');
  const parts = $derived(
    workspace.shown?.plan.layout.ok ? workspace.shown.plan.layout.result.parts : []
  );
  /** a part that is no longer of the joint is not asked for */
  const ofPart = $derived(parts.some(({ key }) => key === part) ? `part=${part}` : '');
  const asked = (...wishes: string[]) => wishes.filter((wish) => wish !== '').join('&');
  const files = $derived([
    {
      file: `pattern.pdf?${asked(`paper=${preferences.paper}`, ofPart)}`,
      text: 'Full-size pattern, PDF',
      note: 'sheets overlap; every sheet has a check scale; the first page has drills, datum and map'
    },
    {
      file: `pattern.svg?${asked(ofPart)}`,
      text: 'Pattern, SVG',
      note: 'full size, for a plotter'
    },
    {
      file: `pattern.dxf?${asked(`unit=${unit}`, ofPart)}`,
      text: 'Pattern, DXF',
      note: 'closed outlines, and layers for holes, pilots, existing and held-open ones'
    },
    {
      file: `marks.csv?unit=${unit}`,
      text: 'Marks, CSV',
      note: 'every hole with its mark, exact place, drills and rivet'
    },
    {
      file: 'joint.json',
      text: 'The joint as a file',
      note: 'its fields as typed, to open elsewhere'
    }
  ]);

  /** The server makes files from what it holds: first everything typed must be there. */
  async function fetchFile(file: string): Promise<void> {
    refusal = said = '';
    await workspace.save.flush();
    if (workspace.save.state.kind !== 'saved') {
      refusal = 'Unsaved changes. Wait for “Saved” at the top, then try again.';
      return;
    }
    const reply = await fetch(`/api/joints/${workspace.id}/files/${file}`).catch(() => null);
    if (!reply) {
      refusal = CONNECTION.offline;
      return;
    }
    if (!reply.ok) {
      const said = RefusalBody.safeParse(await reply.json().catch(() => null));
      refusal = said.success ? said.data.message : 'No file could be made.';
      return;
    }
    const content = await reply.blob().catch(() => null);
    if (!content) {
      refusal = 'Download interrupted. Try again.';
      return;
    }
    const name = /filename="([^"]+)"/.exec(reply.headers.get('content-disposition') ?? '')?.[1];
    giveFile(name ?? file, content);
  }

  async function take(file: File): Promise<void> {
    refusal = said = '';
    const text = await textOf(file);
    const read = text.ok ? readJointFile(text.text) : text;
    if (!read.ok) {
      refusal = `${file.name}: ${'said' in read ? fileRefusalInWords(read, preferences.inWords) : read.message}`;
      return;
    }
    const { definition, title } = read.file;
    workspace.replace(definition);
    said = `${title} (${kindOf(definition).name}) imported. Use Undo to go back.`;
  }
</script>

<Sheet title={LAYOUT.files} {open} {onclose}>
  {#if refusal}<Notice level="stop" title="Failed" text={refusal} />{/if}
  {#if said}<p role="status" class="said">✓ {said}</p>{/if}
  <h3 class="label">Export</h3>
  <div class="wishes">
    {#if parts.length > 1}
      <Pick
        label="Which part?"
        value={part}
        options={[
          { value: '', text: 'All parts, one layer each' },
          ...parts.map(({ key, name }) => ({ value: key, text: name }))
        ]}
        onchoose={(value) => (part = value)}
      />
    {/if}
    <Choice
      testid="unit"
      label="Lengths in DXF and CSV"
      value={unit}
      options={[
        { value: 'in', text: 'inches' },
        { value: 'mm', text: 'millimeters' }
      ]}
      onchoose={(value) => (unit = value)}
    />
    <PaperChoice />
  </div>
  <ul>
    {#each files as { file, text, note } (text)}
      <li>
        <button class="act" type="button" onclick={() => void fetchFile(file)}
          ><Download size={18} /> {text}</button
        >
        <span class="hint">{note}</span>
      </li>
    {/each}
  </ul>
  <p class="hint">
    Before punching through a paper pattern, measure its check scale: 4 in and 100 mm. Printers
    shrink.
  </p>
  <h3 class="label">Import</h3>
  <FileDrop
    label="Open a joint file into this joint"
    endings={['.json']}
    onfile={(file) => void take(file)}
  />
  <p class="hint">Holes from DXF or CSV come in through “Pick up existing holes”.</p>
</Sheet>

<style>
  ul {
    display: grid;
    gap: 6px;
  }
  li {
    display: grid;
    grid-template-columns: 280px 1fr;
    align-items: center;
    gap: 12px;
  }
  li .act {
    justify-content: flex-start;
  }
  .said {
    color: var(--olive-deep);
    font-weight: 700;
  }
  @media (max-width: 600px) {
    li {
      grid-template-columns: 1fr;
    }
  }
  .wishes {
    display: grid;
    gap: 8px;
    margin-bottom: 8px;
  }
</style>
