<script lang="ts">
  import { headsInD } from '$core/inspect/hole-events.ts';
  import { limitsCalled } from '$core/catalog/head-limits.ts';
  import { driveTo, likelyCauses, otherSchools, trendOf } from '$core/inspect/head-causes.ts';
  import type { HeadReading, HeadReport } from '$core/inspect/head-report.ts';
  import { settingOfRun } from '$core/tool-setting/run-setting.ts';
  import { usePreferences } from '$lib/client/preferences.svelte';
  import { useDriveDesk } from '../drive/open-drive';
  import type { InspectDesk } from './inspect-desk.svelte';
  import Arithmetic from '../../ui/kit/Arithmetic.svelte';
  import { RESULT_NAMES } from '$lib/words/results.ts';
  import { CAUSE_WORDS } from '$lib/words/heads';

  /** What a measured head teaches: the likeliest causes, to which height it is driven on, and what other schools would say. */
  interface Props {
    desk: InspectDesk;
    hole: number;
    report: HeadReport;
    reading: HeadReading;
  }
  let { desk, hole, report, reading }: Props = $props();
  const preferences = usePreferences();
  const drive = useDriveDesk();
  const toHeight = $derived(
    report.judged.ok && report.judged.result.verdict === 'drive-more' ? driveTo(reading) : null
  );
  /** its run's tool has a setting that its first heads never released, or that asks for a look */
  const settingOpen = $derived.by(() => {
    const run = drive.desk?.runs.find(({ holes }) => holes.some(({ number }) => number === hole));
    if (!drive.desk || !run) return false;
    const used = settingOfRun(drive.desk.release, run, drive.toolsSet, drive.desk.useNow(run));
    return used !== null && used.status.state !== 'released';
  });
  const causes = $derived(
    likelyCauses({
      findings: report.findings,
      metal: report.metal,
      trend: trendOf([
        ...headsInD(desk.valid).map(({ diameterD }) => diameterD),
        report.judged.ok ? report.judged.result.diameterD : 0
      ]),
      expired: drive.desk?.stateOf(hole)?.expired ?? false,
      settingOpen
    })
  );
  const others = $derived(otherSchools(reading));
</script>

{#if toHeight}
  <p class="to" data-testid="drive-to">
    Drive to <strong>{preferences.inWords(toHeight.heightIn)}</strong> height: one short burst, then measure.
  </p>
  <Arithmetic work={toHeight.work} />
{/if}
{#if causes.length > 0}
  <p class="hint" data-testid="causes">
    Likely causes: {causes.map((cause) => CAUSE_WORDS[cause]).join('; ')}.
  </p>
{/if}
<p class="hint" data-testid="other-schools">
  Limits used: {limitsCalled(reading.limits)}. Under other limits: {others
    .map(({ limits, verdict }) => `${limits}: ${RESULT_NAMES[verdict]}`)
    .join(', ')}.
</p>

<style>
  .to {
    font-size: 1.05rem;
  }
</style>
