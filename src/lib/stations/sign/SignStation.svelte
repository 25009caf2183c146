<script lang="ts">
  import { maybeDone } from '$lib/words/connection.ts';
  import { SIGN } from '$lib/words/pages/sign';
  import { onMount } from 'svelte';
  import { invalidateAll } from '$app/navigation';
  import { signStream } from '$core/signing/sign-events.ts';
  import { toldKey } from '$core/signing/told.ts';
  import { sendMoves } from '$lib/api/events.ts';
  import { signingAt, type SigningView } from '$lib/api/signing.ts';
  import { call } from '$lib/client/call';
  import { usePreferences } from '$lib/client/preferences.svelte';
  import { whoIsHere } from '$lib/client/who';
  import { useWorkspace } from '$lib/client/workspace.svelte';
  import Notice from '../../ui/kit/Notice.svelte';
  import PaperChoice from '../../ui/kit/PaperChoice.svelte';
  import TextField from '../../ui/kit/TextField.svelte';
  import { useReleaseDesk } from '../inspect/release-desk';
  import { useReworkDesk } from '../inspect/rework-desk.svelte';
  import { useDriveDesk } from '../drive/open-drive';
  import ReleaseFirst from '../inspect/ReleaseFirst.svelte';
  import { drivenInWords, inspectedInWords } from '$lib/words/counts.ts';
  import { sentence } from '$lib/words/writing.ts';
  import { mustInWords, toldInWords } from '$lib/words/signing';

  const workspace = useWorkspace();
  const preferences = usePreferences();
  const open = useReleaseDesk();
  const drive = useDriveDesk();
  const rework = useReworkDesk();
  let view = $state.raw<SigningView | null>(null);
  let away = $state('');
  let accepted = $state<string[]>([]);
  let entitled = $state('');
  let refusal = $state('');
  let signing = $state(false);
  const person = $derived(open.person);

  async function look(): Promise<void> {
    const reply = await call(signingAt, { joint: workspace.id }, undefined);
    if (!reply.reached) away = 'Offline: open items cannot be loaded.';
    else if (!reply.ok) away = reply.message;
    else {
      view = reply.value;
      away = '';
    }
  }
  onMount(() => void look());

  /** what was logged on this device and the server has not: signed first, it would be refused after */
  const unsent = $derived(
    (open.desk?.waitingToSend ?? 0) +
      (drive.desk?.outbox.waiting.length ?? 0) +
      (rework.desk?.outbox.waiting.length ?? 0)
  );
  const unread = $derived((view?.told ?? []).filter((told) => !accepted.includes(toldKey(told))));
  const ownWork = $derived(view?.signing === 'another' && view.droveOneself);
  const ready = $derived(
    view !== null &&
      view.signature === null &&
      view.must.length === 0 &&
      unsent === 0 &&
      unread.length === 0 &&
      !ownWork &&
      entitled.trim() !== '' &&
      person !== ''
  );
  const toggle = (key: string) =>
    (accepted = accepted.includes(key)
      ? accepted.filter((one) => one !== key)
      : [...accepted, key]);

  async function sign(): Promise<void> {
    const who = whoIsHere();
    if (!view || !ready || who === null) return;
    signing = true;
    refusal = '';
    const reply = await call(sendMoves(signStream), { subject: view.releaseId }, [
      {
        id: crypto.randomUUID(),
        at: new Date().toISOString(),
        kind: 'signed',
        person: who,
        entitled: entitled.trim(),
        accepted
      }
    ]);
    signing = false;
    if (!reply.reached)
      refusal = maybeDone('the signature may already be saved. Refresh before trying again.');
    else if (!reply.ok) refusal = reply.message;
    else await invalidateAll();
    await look();
  }
  const when = (at: string) =>
    new Date(at).toLocaleString([], { dateStyle: 'long', timeStyle: 'short' });
  const file = (name: string) =>
    `/api/joints/${workspace.id}/files/${name}?paper=${preferences.paper}`;
</script>

{#if open.release}
  <div class="sign">
    <header>
      <h2 data-testid="release-now" data-release={open.release.number}>
        Release {open.release.number}
      </h2>
      <button class="act small" type="button" onclick={() => void look()}>Refresh</button>
    </header>
    {#if unsent > 0}<Notice
        level="attention"
        title="{unsent} not sent yet"
        text="Entries on this device must be sent before signing."
      />{/if}
    {#if away}<Notice level="attention" title="Not loaded" text={away} />{/if}
    {#if view?.signature}
      <section class="seal" data-testid="signed">
        <p class="big">✓ Signed by {view.signature.by}</p>
        <p>{view.signature.entitled}, {when(view.signature.at)}</p>
        <p class="digest">digest {view.signature.digest}</p>
        <p class="hint">
          This release is locked. Later changes need a new release. The digest is on the printed
          record; <code>./zanjador verify FILE DIGEST</code> holds a file against it.
        </p>
        <a class="act" data-testid="next-release" href="/joints/{workspace.id}/size"
          >{SIGN.planTheNextRelease}</a
        >
      </section>
    {:else if view}
      <section aria-labelledby="missing">
        <h3 id="missing">Open items</h3>
        {#each view.must as must (must.code)}
          {@const said = mustInWords(must)}
          <p class="must" data-testid="must" data-code={must.code}>
            <span>✕ {said.text}</span>
            <a
              class="act"
              href="/joints/{workspace.id}/{said.station}"
              onclick={() => {
                if (said.hole !== null) workspace.picked = said.hole;
              }}>To {said.station === 'drive' ? 'Drive' : 'Inspect'}</a
            >
          </p>
        {:else}
          <p class="passes-strong">
            ✓ None.{#if open.count}
              {sentence(drivenInWords(open.count))}; {inspectedInWords(open.count)}.{/if}
          </p>
        {/each}
      </section>
      {#if !open.release.facts.practice}<section aria-labelledby="acknowledge">
          <h3 id="acknowledge">Acknowledge before signing</h3>
          {#each view.told as told (toldKey(told))}
            <label class="told" data-testid="told">
              <input
                type="checkbox"
                checked={accepted.includes(toldKey(told))}
                onchange={() => toggle(toldKey(told))}
              />
              <span>{toldInWords(told)}</span>
            </label>
          {:else}
            <p class="passes-strong">✓ None: no open holes, all tool settings qualified.</p>
          {/each}
        </section>{/if}
      <section aria-labelledby="signature">
        <h3 id="signature">Signature</h3>
        {#if open.release.facts.practice}
          <p data-testid="practice-not-signed">
            {SIGN.practiceNotSigned}
          </p>
        {:else}
          <p class="hint">
            Driven by {view.drivers.length > 0 ? view.drivers.join(', ') : 'no one recorded'}. {view.signing ===
            'another'
              ? 'Shop rule: the signer must not have driven any of these rivets.'
              : 'Its driver may sign, by this shop’s rule.'} The program advises; a person entitled to
            sign decides, by the approved data and local rules.
          </p>
          <form
            onsubmit={(event) => {
              event.preventDefault();
              void sign();
            }}
          >
            <TextField
              name="entitled"
              testid="entitled"
              label="Certificate or stamp number"
              bind:value={entitled}
              maxlength={120}
            />
            {#if person === ''}
              <a class="act main" href="/who?back=/joints/{workspace.id}/sign">Sign in to sign</a>
            {:else}
              <button
                data-testid="sign"
                class="act main"
                disabled={!ready || signing}
                aria-describedby="why-not">Sign as {person}</button
              >
            {/if}
            <p id="why-not" class="hint">
              {ownWork
                ? `${person} drove rivets in this release. Someone else must sign.`
                : view.must.length > 0
                  ? 'Clear the open items first.'
                  : unread.length > 0
                    ? `${unread.length} items to acknowledge.`
                    : entitled.trim() === ''
                      ? 'Enter your certificate or stamp number.'
                      : 'Signing locks this release.'}
            </p>
          </form>
          {#if refusal}<Notice level="stop" title="Not signed" text={refusal} />{/if}
        {/if}
      </section>
    {/if}
    <section aria-labelledby="record">
      <h3 id="record">{open.release.facts.practice ? SIGN.practiceRecord : SIGN.record}</h3>
      <PaperChoice />
      <p class="files">
        <a class="act" href={file('record.pdf')} download>Record as PDF</a>
        <a class="act" href={file('record.json')} download>Sealed record (JSON)</a>
        <a class="act" href={file('heads.csv')} download>Heads as CSV</a>
        <a class="act" href="/api/joints/{workspace.id}/files/heads.csv?unit=mm" download
          >Heads as CSV, mm</a
        >
      </p>
    </section>
  </div>
{:else}
  <ReleaseFirst
    title="Nothing is released yet"
    text="You sign a release: its holes, rivets, driving log and inspections."
    what="to drive, inspect and sign"
    act="Release it"
    station="inspect"
  />
{/if}

<style>
  .sign {
    display: grid;
    grid-template-columns: repeat(auto-fit, minmax(min(100%, 420px), 1fr));
    gap: 14px;
    align-items: start;
    align-content: start;
    height: 100%;
    overflow: auto;
    padding: 14px 18px;
  }
  header,
  .seal {
    grid-column: 1 / -1;
  }
  header {
    display: flex;
    align-items: center;
    gap: 14px;
  }
  h2 {
    font-size: 1.5rem;
  }
  h3 {
    font-size: 1.15rem;
    padding-bottom: 6px;
  }
  section {
    padding: 12px 16px;
    border: 1.5px solid var(--line);
    border-radius: 10px;
    background: var(--panel);
  }
  .must {
    display: flex;
    align-items: center;
    gap: 10px;
    padding-block: 4px;
    border-bottom: 1px solid var(--line);
  }
  .must span {
    flex: 1;
    color: var(--brick);
    font-weight: 700;
  }
  .told {
    display: flex;
    align-items: center;
    gap: 10px;
    min-height: 48px;
    border-bottom: 1px solid var(--line);
  }
  .told input {
    flex: none;
    width: 26px;
    height: 26px;
  }
  .seal {
    border: 2.5px solid var(--olive);
    background: var(--olive-soft);
  }
  .big {
    font-family: var(--head-font);
    font-size: 1.6rem;
    font-weight: 600;
  }
  .digest {
    font-variant-numeric: tabular-nums;
    overflow-wrap: anywhere;
  }
  form {
    display: flex;
    flex-direction: column;
    align-items: flex-start;
    gap: 8px;
    padding-top: 8px;
  }
  .files {
    display: flex;
    flex-wrap: wrap;
    gap: 8px;
    padding-top: 8px;
  }
</style>
