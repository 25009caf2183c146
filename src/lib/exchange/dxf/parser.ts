import { groupsOf, numberOf, Unreadable, type Group } from './groups.ts';
import type { Corner } from './round.ts';

/** One thing drawn, with what it says of itself. */
export class Entity {
  /** of polylines and lines */
  readonly corners: Corner[] = [];
  /** one of its numbers is none */
  broken = false;

  constructor(
    readonly type: string,
    readonly groups: readonly Group[],
    readonly line: number
  ) {}

  text(code: number): string {
    return this.groups.find((group) => group.code === code)?.text.trim() ?? '';
  }
  /** A number it says, else what is meant where it says none. */
  number(code: number, meant: number): number {
    const group = this.groups.find((one) => one.code === code);
    if (!group) return meant;
    const value = numberOf(group.text);
    if (value === null) this.broken = true;
    return value ?? NaN;
  }
  get layer(): string {
    return this.text(8);
  }
}

export interface Block {
  x: number;
  y: number;
  /** its base is no place */
  broken: boolean;
  entities: Entity[];
}

/** A drawing as far as holes and edges need it. Names of layers and blocks are the same in any case. */
export interface Drawing {
  /** what $INSUNITS says; null where the file does not */
  units: number | null;
  /** layers that are frozen or off */
  hidden: ReadonlySet<string>;
  blocks: ReadonlyMap<string, Block>;
  entities: Entity[];
}

/** How names of layers and blocks are compared. */
export const nameKey = (name: string): string => name.trim().toLowerCase();

/** A file in its sections. */
function sectionsOf(groups: readonly Group[]): Map<string, Group[]> {
  const sections = new Map<string, Group[]>();
  let open: { name: string; groups: Group[] } | null = null;
  for (let at = 0; at < groups.length; at++) {
    const group = groups[at];
    if (!group) break;
    const says = group.code === 0 ? group.text.trim() : '';
    if (says === 'SECTION') {
      const name = groups[at + 1];
      if (open)
        throw new Unreadable(`line ${group.line}: a section begins before ${open.name} has ended`);
      if (name?.code !== 2) throw new Unreadable(`line ${group.line}: a section without a name`);
      open = { name: name.text.trim(), groups: [] };
      at += 1;
    } else if (says === 'ENDSEC') {
      if (open) sections.set(open.name, open.groups);
      open = null;
    } else open?.groups.push(group);
  }
  if (open) throw new Unreadable(`section ${open.name} has no end: it was cut off`);
  return sections;
}

/** Groups in the things they are of: each begins with a code 0. */
function thingsOf(groups: readonly Group[]): Entity[] {
  const things: { type: string; line: number; groups: Group[] }[] = [];
  for (const group of groups)
    if (group.code === 0) things.push({ type: group.text.trim(), line: group.line, groups: [] });
    else things.at(-1)?.groups.push(group);
  return things.map(({ type, groups: own, line }) => new Entity(type, own, line));
}

/** Corners of a polyline on one plane, as they follow each other in it. */
function planeCorners(entity: Entity): void {
  for (const { code, text } of entity.groups) {
    if (code !== 10 && code !== 20 && code !== 42) continue;
    const value = numberOf(text);
    const last = entity.corners.at(-1);
    if (value === null) entity.broken = true;
    else if (code === 10) entity.corners.push({ x: value, y: NaN });
    else if (last && code === 20) last.y = value;
    else if (last) last.bulge = value;
  }
  if (entity.corners.some(({ y }) => Number.isNaN(y))) entity.broken = true;
}

/** Corners that stand beside their polyline are put into it; what only ends one is left out. */
function joined(things: readonly Entity[]): Entity[] {
  const entities: Entity[] = [];
  let open: Entity | null = null;
  for (const thing of things) {
    const { type } = thing;
    if (open && type !== 'VERTEX' && type !== 'SEQEND')
      throw new Unreadable(`line ${open.line}: a POLYLINE without its SEQEND`);
    if (type === 'VERTEX' && open) {
      const corner = {
        x: thing.number(10, NaN),
        y: thing.number(20, NaN),
        bulge: thing.number(42, 0)
      };
      open.broken ||= thing.broken || Number.isNaN(corner.x) || Number.isNaN(corner.y);
      open.corners.push(corner);
      continue;
    }
    if (type === 'SEQEND') {
      open = null;
      continue;
    }
    if (type === 'POLYLINE') open = thing;
    else if (type === 'LWPOLYLINE') planeCorners(thing);
    else if (type === 'LINE')
      thing.corners.push(
        { x: thing.number(10, NaN), y: thing.number(20, NaN) },
        { x: thing.number(11, NaN), y: thing.number(21, NaN) }
      );
    entities.push(thing);
  }
  if (open) throw new Unreadable(`line ${open.line}: a POLYLINE without its SEQEND`);
  return entities;
}

/** Bits and signs by which a layer says that it is not shown. */
const FROZEN = 1;
function hiddenIn(groups: readonly Group[]): Set<string> {
  const hidden = new Set<string>();
  for (const layer of thingsOf(groups)) {
    if (layer.type !== 'LAYER' || layer.text(2) === '') continue;
    const [flags, color] = [layer.number(70, 0), layer.number(62, 7)];
    if (layer.broken)
      throw new Unreadable(
        `line ${layer.line}: layer ${shownName(layer.text(2))} has a number that is none`
      );
    if ((flags & FROZEN) !== 0 || color < 0) hidden.add(nameKey(layer.text(2)));
  }
  return hidden;
}
const shownName = (name: string): string => JSON.stringify(name.slice(0, 40));

function blocksIn(groups: readonly Group[]): Map<string, Block> {
  const blocks = new Map<string, Block>();
  let head: Entity | null = null;
  let inside: Entity[] = [];
  for (const thing of thingsOf(groups)) {
    if (thing.type === 'BLOCK') {
      if (head) throw new Unreadable(`line ${head.line}: a BLOCK without its ENDBLK`);
      head = thing;
      inside = [];
    } else if (thing.type === 'ENDBLK') {
      if (head) {
        const [x, y] = [head.number(10, 0), head.number(20, 0)];
        blocks.set(nameKey(head.text(2)), { x, y, broken: head.broken, entities: joined(inside) });
      }
      head = null;
    } else if (head) inside.push(thing);
  }
  if (head) throw new Unreadable(`line ${head.line}: a BLOCK without its ENDBLK`);
  return blocks;
}

/** The value of a variable of the header. */
function unitsIn(groups: readonly Group[]): number | null {
  const at = groups.findIndex(({ code, text }) => code === 9 && text.trim() === '$INSUNITS');
  const said = groups[at + 1];
  if (at === -1 || said?.code !== 70) return null;
  const value = numberOf(said.text);
  if (value === null || !Number.isInteger(value))
    throw new Unreadable(
      `line ${said.line + 1}: the unit of the drawing ($INSUNITS) is a whole number; it reads ${shownName(said.text.trim())}`
    );
  return value;
}

/**
 * Reads the text of a DXF file.
 *
 * @throws Unreadable where it is not built as one
 */
export function parseDxf(text: string): Drawing {
  const sections = sectionsOf(groupsOf(text));
  const of = (name: string): Group[] => sections.get(name) ?? [];
  return {
    units: unitsIn(of('HEADER')),
    hidden: hiddenIn(of('TABLES')),
    blocks: blocksIn(of('BLOCKS')),
    entities: joined(thingsOf(of('ENTITIES')))
  };
}
