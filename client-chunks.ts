import { resolve } from 'node:path';
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

/** They name everything their package has, of which a page takes a part. */
const BARREL =
  /node_modules\/(@skeletonlabs\/skeleton-svelte\/dist|@lucide\/svelte\/dist|d3\/src)\/index/;

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
 * are follows from the imports: what the frame reaches, what a joint reaches beyond it, and what several pages share.
 */
export function chunkGroups(): Groups {
  let sets: { frame: Set<string>; joint: Set<string> } | null = null;
  const together = (id: string, graph: Graph): string | null => {
    sets ??= { frame: reached(graph, FRAME), joint: reached(graph, JOINT) };
    return sets.frame.has(id) ? 'frame' : sets.joint.has(id) ? 'joint' : null;
  };
  return [
    { name: together, priority: 2 },
    // what several pages share comes with those that need it, and what is too small for a request of its own with its neighbor
    { name: 'shared', minShareCount: 2, entriesAware: true, entriesAwareMergeThreshold: 40_000 }
  ];
}
