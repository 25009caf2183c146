import { tinykeys } from 'tinykeys';
import { LengthStyle } from '$core/units/format-length.ts';
import { outsideFields } from '$lib/client/keys';
import type { usePreferences } from '$lib/client/preferences.svelte';
import type { Workspace } from '$lib/client/workspace.svelte';
import { STATIONS, type StationKey } from '$lib/stations/stations.ts';

/** What the keys of a joint do that only its page knows. */
interface Around {
  go: (station: StationKey) => void;
  /** the holes that brackets go along */
  holes: () => readonly number[];
  help: () => void;
}

/** The keys of a joint, wherever one is in it. @returns unbinds them */
export function jointKeys(
  workspace: Workspace,
  preferences: ReturnType<typeof usePreferences>,
  { go, holes, help }: Around
): () => void {
  const nextLengths = () => {
    const at = LengthStyle.options.indexOf(preferences.lengths);
    preferences.setLengths(LengthStyle.options[(at + 1) % LengthStyle.options.length] ?? '1/64');
  };
  const always = (action: () => void) => (event: KeyboardEvent) => {
    event.preventDefault();
    action();
  };
  return tinykeys(window, {
    ...Object.fromEntries(
      // the digit by its key: with Alt some layouts write another sign; in a field it is no figure
      STATIONS.map(({ key }, index) => [`Alt+Digit${index + 1}`, always(() => go(key))])
    ),
    '[': outsideFields(() => workspace.step(-1, holes())),
    ']': outsideFields(() => workspace.step(1, holes())),
    Escape: () => document.activeElement instanceof HTMLElement && document.activeElement.blur(),
    u: outsideFields(nextLengths),
    a: outsideFields(() => (workspace.arithmetic = !workspace.arithmetic)),
    // some layouts reach it without Shift
    '?': outsideFields(help),
    'Shift+?': outsideFields(help),
    '$mod+z': always(() => workspace.undo()),
    '$mod+Shift+z': always(() => workspace.redo()),
    '$mod+y': always(() => workspace.redo())
  });
}
