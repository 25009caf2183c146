import { answer, notPossible, workLine, type Answer } from '../answer.ts';
import type { LaidLine } from '../plan/holes.ts';

/** One round: which holes carry a holder, and which are drilled to size meanwhile. */
export interface HolderRound {
  holders: number[];
  drill: number[];
}

/** Sheet holders of a joint: where they go now, and how they move so that every hole gets drilled. */
export interface HolderPlan {
  /** between two holders of a line, in holes */
  every: number;
  /** of the pilot's size first, of the final size once they have moved over */
  pilotHolders: number;
  finalHolders: number;
  rounds: HolderRound[];
  /** wider apart than the shop likes, because it has no more holders */
  stretched: boolean;
}

/** Holders the shop has. */
export interface HoldersInShop {
  pilot: number;
  final: number;
}

const LEAST_EVERY = 2;

/** Ends first, then every n-th between. */
function held(line: Pick<LaidLine, 'holes'>, every: number): number[] {
  const { holes } = line;
  return holes.filter((_, at) => at === 0 || at === holes.length - 1 || at % every === 0);
}

/** Neighbours of held holes that holders move over to: drilled by then, and in the same line. */
const movedOver = ({ holes }: Pick<LaidLine, 'holes'>, first: ReadonlySet<number>): number[] =>
  holes.filter((number, at) => {
    const before = holes[at - 1];
    return !first.has(number) && before !== undefined && first.has(before);
  });

/** Last holes of lines so short that nothing can move over: they hold on while the others of their line are drilled. */
const keptBack = (
  lines: readonly Pick<LaidLine, 'holes'>[],
  second: ReadonlySet<number>
): { hold: number; by: number }[] =>
  lines.flatMap(({ holes }) => {
    const [by, hold] = [holes[0], holes.at(-1)];
    return holes.length < 2 ||
      hold === undefined ||
      by === undefined ||
      holes.some((hole) => second.has(hole))
      ? []
      : [{ hold, by }];
  });

const rising = (holes: Iterable<number>): number[] => [...new Set(holes)].sort((a, b) => a - b);

/**
 * Where sheet holders go: the ends of every line, then every n-th hole. First, pilot-size holders hold while the other
 * holes are drilled to size; then final-size holders take over in neighbours that are drilled, the first ones come out
 * and their holes are drilled too.
 *
 * @param lines rivet lines with their hole numbers in order; a corner may be in two
 * @param every a holder in every so many holes, at least 2
 * @param shop what there is; where that is too few they stand wider apart
 * @param oneSize the pilot is the final size: holders stay where they are, and nothing is drilled a second time
 * @returns rounds; every hole is drilled to size once and never while it carries a holder
 * @throws never; `not-possible` when there are not even two holders a line
 * @source prepare: holders, drill the rest, moving holders along
 */
export function holderPlan(
  lines: readonly Pick<LaidLine, 'holes'>[],
  every: number,
  shop: HoldersInShop,
  oneSize = false
): Answer<HolderPlan> {
  const all = [...new Set(lines.flatMap(({ holes }) => holes))];
  const longest = Math.max(LEAST_EVERY, ...lines.map(({ holes }) => holes.length));
  for (let spread = Math.max(LEAST_EVERY, every); spread <= Math.max(every, longest); spread++) {
    const first = new Set(lines.flatMap((line) => held(line, spread)));
    const second = new Set(lines.flatMap((line) => movedOver(line, first)));
    const rest = all.filter((hole) => !first.has(hole));
    const back = keptBack(lines, second);
    const last = new Set(back.map(({ hold }) => hold));
    const finals = oneSize ? 0 : second.size + back.length;
    if (first.size > shop.pilot || finals > shop.final) continue;
    return answer(
      {
        every: spread,
        pilotHolders: first.size,
        finalHolders: finals,
        rounds: oneSize
          ? [{ holders: rising(first), drill: [] }]
          : [
              { holders: rising(first), drill: rising(rest) },
              {
                holders: rising([...second, ...last]),
                drill: rising([...first].filter((hole) => !last.has(hole)))
              },
              ...(last.size > 0
                ? [
                    {
                      holders: rising([...second, ...back.map(({ by }) => by)]),
                      drill: rising(last)
                    }
                  ]
                : [])
            ],
        stretched: spread > every
      },
      [
        workLine(
          'pilot-size temporary fasteners',
          `ends and every ${spread}th hole of ${lines.length} lines`,
          first.size,
          'holders'
        ),
        ...(oneSize
          ? []
          : [
              workLine(
                'final-size temporary fasteners',
                'beside those, in holes drilled to size',
                finals,
                'holders'
              )
            ])
      ]
    );
  }
  return notPossible('holders', {
    code: 'too-few-holders',
    pilot: shop.pilot,
    final: shop.final,
    lines: lines.length
  });
}
