import { defineStation, done, open } from '../station';

export const layOut = defineStation({
  key: 'lay-out',
  name: 'Layout',
  asks: 'Where does each hole go?',
  logs: 'plan',
  page: () => import('./LayOutStation.svelte'),
  keys: [
    ['Shift ← →', 'move the picked hole along its line'],
    ['H  P  Del', 'hold it open, pin it, delete it'],
    ['R', 'read the marks out, one at a time'],
    ['Space', 'reader: next mark']
  ],
  status: ({ workspace }) => {
    if (!workspace.now) return open('—');
    const { layout } = workspace.now.plan;
    if (!layout.ok) return open('not feasible');
    const { drilled, lines } = layout.result;
    return done(`${drilled} holes, ${lines.length} ${lines.length === 1 ? 'line' : 'lines'}`);
  }
});
