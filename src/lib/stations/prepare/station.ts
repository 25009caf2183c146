import { defineStation, done, open } from '../station';

export const prepare = defineStation({
  key: 'prepare',
  name: 'Prepare',
  asks: 'What must be done before the first rivet?',
  logs: 'prepare',
  page: () => import('./PrepareStation.svelte'),
  outboxes: ({ ready }) => [ready.outbox],
  status: ({ ready: { told } }) => {
    if (!told || told.steps === 0) return open('—');
    return told.done === told.steps
      ? done('all steps done')
      : open(`${told.done} of ${told.steps} steps`);
  }
});
