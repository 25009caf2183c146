import { PRACTICE_MARK } from '../../words/practice.ts';
import { drivingHolders } from '../../../core/driving/driving-holders.ts';
import { drivingWays } from '../../../core/driving/driving-ways.ts';
import { releaseOrder } from '../../../core/driving/release-order.ts';
import { pathOf } from '../../../core/driving/driving-order.ts';
import { reachedRuns } from '../../../core/driving/reached-runs.ts';
import { rivetRuns } from '../../../core/driving/rivet-runs.ts';
import { runTools } from '../../../core/driving/run-tools.ts';
import type { Paper } from '../../../core/exchange/tiles.ts';
import { settingOfRun } from '../../../core/tool-setting/run-setting.ts';
import { settingInUseInWords } from '../../words/tool-settings.ts';
import { inRuns } from '../../words/pattern.ts';
import { toolInWords, WAY_STEPS, WAY_WORDS, wayReasonInWords } from '../../words/driving.ts';
import type { WriteLength } from '../../words/writing.ts';
import type { Database } from '../db/connect.ts';
import { pdfDrivingCard, type CardRun } from '../files/pdf-driving-card.ts';
import { newestRelease } from './releases.ts';
import { openRelease } from './open-release.ts';
import type { MadeFile } from './made-file.ts';
import type { JointView } from './joints.ts';
import { done, refused, type Outcome } from '../outcome.ts';
import { shopFigures } from './ready.ts';
import { toolSettings } from './tool-settings.ts';

/** The newest release on paper, as it is driven: order, holders, tools, cautions. */
export async function drivingCard(
  database: Database,
  joint: JointView,
  name: string,
  paper: Paper,
  length: WriteLength
): Promise<Outcome<MadeFile>> {
  const newest = await newestRelease(database, joint.id);
  const opened = newest === null ? null : await openRelease(database, newest);
  if (!opened) return refused('not-possible', 'Not released. Release it in Drive first.');
  const { release, drive } = opened;
  const [{ holders, tools }, set] = await Promise.all([
    shopFigures(database),
    toolSettings(database, joint.id)
  ]);
  const found = releaseOrder(release, drive.order);
  const outline = { widthIn: release.facts.widthIn, heightIn: release.facts.overlapIn };
  const access = drive.access?.access ?? null;
  const whole = rivetRuns(release);
  const parts = access
    ? whole.flatMap((run) => reachedRuns(run, release, outline, access, tools))
    : whole;
  const runs = parts.map((run): CardRun => {
    const which = whole.includes(run) ? '' : `: ${inRuns(run.holes.map(({ number }) => number))}`;
    const head = `${run.holes.length} × ${run.partNumber}${which}`;
    const used = settingOfRun(release, run, set, {
      at: new Date().toISOString(),
      gripIn: null,
      lot: null
    });
    const setting = settingInUseInWords(used, length).text;
    if (!access) return { head, way: 'access not entered', steps: [], tools: [], setting };
    const { chosen, ways, reach } = drivingWays(run, outline, access, tools);
    const why = ways.find(({ way }) => way === chosen)?.why ?? [];
    return chosen === null
      ? { head, way: 'no driving method fits this access', steps: [], tools: [], setting }
      : {
          head,
          way: `${WAY_WORDS[chosen]}: ${why.map((one) => wayReasonInWords(one, length)).join('; ')}`,
          setting,
          steps: WAY_STEPS[chosen],
          tools: runTools(run, chosen, reach, outline, access, tools).map((need) => {
            const said = toolInWords(need, length);
            return `${said.name}: ${said.text}`;
          })
        };
  });
  const body = await pdfDrivingCard(
    {
      title: release.facts.practice
        ? `${PRACTICE_MARK}: ${joint.title}, release ${release.number}`
        : `${joint.title}, job ${joint.job.number}, release ${release.number}`,
      changed: release.revision !== joint.revision,
      school: found.school,
      byHand: found.byHand,
      order: found.order,
      path: pathOf(release.holes, found.order),
      holders: drivingHolders(release.holes, found.order, holders.every, holders.final),
      heldOpen: release.heldOpen,
      runs
    },
    paper,
    length
  );
  return done({ type: 'application/pdf', name, body });
}
