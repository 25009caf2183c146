import { defineStation, done, open } from '../station';

export const layout = defineStation({
  key: 'layout',
  name: 'Layout',
  asks: 'Where does each hole go?',
  logs: 'plan',
  page: () => import('./LayoutStation.svelte'),
  keys: [
    ['Shift ← →', 'move the picked hole along its line'],
    ['H  P  Del', 'hold it open, pin it, delete it'],
    ['R', 'read the marks out, one at a time'],
    ['Space', 'reader: next mark']
  ],
  status: ({ workspace }) => {
    if (!workspace.now) return open('—');
    const laid = workspace.now.plan.layout;
    if (!laid.ok) return open('not feasible');
    const { drilled, lines } = laid.result;
    return done(`${drilled} holes, ${lines.length} ${lines.length === 1 ? 'line' : 'lines'}`);
  }
});
