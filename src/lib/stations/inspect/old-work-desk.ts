import { getContext, setContext } from 'svelte';
import { oldWorkStream } from '$core/old-work/old-work-stream.ts';
import { EventStore } from '$lib/client/event-store.svelte';

/** Old work on a joint in this browser; what others have of it is read where it is looked at. */
export const oldWorkDesk = (jointId: string, by: string) =>
  new EventStore(oldWorkStream, () => null, { subjectId: jointId, stored: [], by, unsent: null });
export type OldWorkDesk = ReturnType<typeof oldWorkDesk>;

const KEY = Symbol('old work');
export const provideOldWork = (desk: OldWorkDesk): OldWorkDesk => setContext(KEY, desk);
export const useOldWork = (): OldWorkDesk => getContext<OldWorkDesk>(KEY);
