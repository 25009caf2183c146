import { readdirSync } from 'node:fs';
import { join, resolve } from 'node:path';
import type { Rolldown } from 'vite';

type Graph = Pick<Rolldown.ChunkingContext, 'getModuleInfo'>;
type Groups = Rolldown.CodeSplittingGroup[];

/** What every page begins with: the library's client and the frame around all pages. */
const FRAME = [
  'node_modules/@sveltejs/kit/src/runtime/client/entry.js',
  '.svelte-kit/generated/client-optimized/app.js',
  'src/routes/+layout.svelte',
  'src/routes/+error.svelte'
];
/** What a joint begins with, whatever its station. */
const JOINT = [
  'src/routes/joints/[joint=id]/+layout.svelte',
  'src/routes/joints/[joint=id]/[station=station]/+page.ts',
  'src/routes/joints/[joint=id]/[station=station]/+page.svelte'
];
const ROOMS = 'src/lib/stations';
const STATIONS = readdirSync(ROOMS, { withFileTypes: true })
  .filter((room) => room.isDirectory())
  .flatMap(({ name }) =>
    readdirSync(join(ROOMS, name))
      .filter((file) => file.endsWith('Station.svelte'))
      .map((file) => join(ROOMS, name, file))
  );
/** What this many stations share comes with every joint. */
const MOST_STATIONS = 3;

/** They name everything their package has, of which a page takes a part: nothing follows from their imports. */
const BARREL =
  /node_modules\/(@skeletonlabs\/skeleton-svelte\/dist|@lucide\/svelte\/dist|d3\/src)\/index/;
/** Parts of the component library that nearly every page has; the others come with what draws them. */
const KIT =
  /node_modules\/@zag-js\/(core|svelte|utils|dom-query|types|anatomy|i18n-utils|focus-visible|radio-group|toggle-group|collapsible|progress)\/|skeleton-svelte\/dist\/(internal|modules|components\/(locale|segmented-control|toggle-group|collapsible|progress))|node_modules\/@lucide\//;
const DIALOG =
  /node_modules\/@zag-js\/(dialog|focus-trap|dismissable|interact-outside|aria-hidden|remove-scroll)\/|skeleton-svelte\/dist\/components\/(dialog|portal)/;

const GESTURES = /node_modules\/d3-(zoom|drag|transition|timer|ease|dispatch)\//;
const CHARTS = /node_modules\/(d3-(?!zoom|drag|transition|timer|ease|dispatch)|internmap)/;

/** Everything that cannot be left out where these are needed; what is imported when asked for is no part of it. */
function reached(graph: Graph, roots: readonly string[]): Set<string> {
  const found = new Set<string>();
  const open = roots.map((root) => resolve(root));
  for (let id = open.pop(); id !== undefined; id = open.pop()) {
    if (found.has(id) || BARREL.test(id)) continue;
    found.add(id);
    open.push(...(graph.getModuleInfo(id)?.importedIds ?? []));
  }
  return found;
}

/**
 * What is always loaded together is one file: a first visit over a hangar's radio waits for each request. Which files those
 * are follows from the imports: what the frame reaches, what a joint reaches beyond it, and what its stations share.
 */
export function chunkGroups(): Groups {
  let sets: { frame: Set<string>; joint: Set<string>; stations: Set<string>[] } | null = null;
  const setsOf = (graph: Graph) =>
    (sets ??= {
      frame: reached(graph, FRAME),
      joint: reached(graph, JOINT),
      stations: STATIONS.map((station) => reached(graph, [station]))
    });
  const shared = (id: string, graph: Graph): string | null => {
    const having = setsOf(graph).stations.map((station) => station.has(id));
    const count = having.filter(Boolean).length;
    if (count < 2) return null;
    return count >= MOST_STATIONS ? 'stations' : `stations-${having.map(Number).join('')}`;
  };
  const groups: Omit<Groups[number], 'priority'>[] = [
    { name: (id, graph) => (setsOf(graph).frame.has(id) ? 'frame' : null) },
    { name: (id, graph) => (setsOf(graph).joint.has(id) ? 'joint' : null) },
    { name: 'kit', test: KIT },
    { name: 'dialog', test: DIALOG },
    { name: 'charts', test: CHARTS },
    { name: 'gestures', test: GESTURES },
    { name: shared }
  ];
  // what a group needs comes with it, unless one before it has that already
  return groups.map((group, index) => ({ ...group, priority: groups.length - index }));
}
