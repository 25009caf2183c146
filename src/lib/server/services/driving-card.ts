import { PRACTICE_MARK } from '../../words/practice.ts';
import { drivingHolders } from '../../../core/driving/driving-holders.ts';
import { drivingWays } from '../../../core/driving/driving-ways.ts';
import { issueOrder } from '../../../core/driving/issue-order.ts';
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
import { newestIssue } from './issues.ts';
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
  const newest = await newestIssue(database, joint.id);
  const release = newest === null ? null : await openRelease(database, newest);
  if (!release) return refused('not-possible', 'Not released. Release it in Drive first.');
  const { issue, drive } = release;
  const [{ holders, tools }, set] = await Promise.all([
    shopFigures(database),
    toolSettings(database, joint.id)
  ]);
  const found = issueOrder(issue, drive.order);
  const outline = { widthIn: issue.facts.widthIn, heightIn: issue.facts.overlapIn };
  const access = drive.access?.access ?? null;
  const whole = rivetRuns(issue);
  const parts = access
    ? whole.flatMap((run) => reachedRuns(run, issue, outline, access, tools))
    : whole;
  const runs = parts.map((run): CardRun => {
    const which = whole.includes(run) ? '' : `: ${inRuns(run.holes.map(({ number }) => number))}`;
    const head = `${run.holes.length} × ${run.partNumber}${which}`;
    const used = settingOfRun(issue, run, set, {
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
      title: issue.facts.practice
        ? `${PRACTICE_MARK}: ${joint.title}, release ${issue.number}`
        : `${joint.title}, job ${joint.job.number}, release ${issue.number}`,
      changed: issue.revision !== joint.revision,
      school: found.school,
      byHand: found.byHand,
      order: found.order,
      path: pathOf(issue.holes, found.order),
      holders: drivingHolders(issue.holes, found.order, holders.every, holders.final),
      heldOpen: issue.heldOpen,
      runs
    },
    paper,
    length
  );
  return done({ type: 'application/pdf', name, body });
}
