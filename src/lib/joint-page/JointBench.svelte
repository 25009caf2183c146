<script lang="ts">
  import { onMount, untrack, type Snippet } from 'svelte';
  import { goto } from '$app/navigation';
  import { inMetal } from '$core/releases/in-metal.ts';
  import { provideReworkDesk } from '$lib/stations/inspect/rework-desk.svelte';
  import { oldWorkDesk, provideOldWork } from '$lib/stations/inspect/old-work-desk';
  import { provideReleaseDesk } from '$lib/stations/inspect/release-desk';
  import { provideDriveDesk } from '$lib/stations/drive/open-drive';
  import { ReleaseDesks } from '$lib/stations/release-desks.svelte';
  import { providePrepareDesk, PrepareDesk } from '$lib/stations/prepare/prepare-desk.svelte';
  import { countsOf, provideStock } from '$lib/client/stock';
  import { cold } from '$lib/client/cold.svelte';
  import { enterGoesOn } from '$lib/client/enter-goes-on';
  import { whenIdle } from '$lib/client/when-idle';
  import { usePreferences } from '$lib/client/preferences.svelte';
  import { provideWorkspace, Workspace } from '$lib/client/workspace.svelte';
  import { boundRules } from '$core/rules/bound-rules.ts';
  import { printOf } from '$core/plan/blocks.ts';
  import { Seen } from '$lib/client/seen.svelte';
  import { isPlanStation, standings } from '$lib/stations/standings';
  import { stationOf, STATIONS } from '$lib/stations/stations.ts';
  import type { BenchProps } from './bench-props';
  import { jointKeys } from './joint-keys';
  import KeptPages from './KeptPages.svelte';
  import Later from '$lib/ui/kit/Later.svelte';
  import KeysSheet from './KeysSheet.svelte';
  import { noteOpened } from '$lib/ui/joint/recent-joints';
  import JointHead from './JointHead.svelte';
  import LeftBehind from './LeftBehind.svelte';
  import MayNot from './MayNot.svelte';
  import PickedSaid from './PickedSaid.svelte';
  import StationLine from './StationLine.svelte';
  import StopBar from './StopBar.svelte';

  /** One joint: its name, whether it is saved, its stations, and the one being worked at. */
  type Props = BenchProps & { children: Snippet };
  let {
    joint,
    release,
    events,
    driving,
    rework,
    signedBy,
    since,
    toolsSet,
    shop,
    ready,
    person,
    role,
    drawers,
    station,
    children
  }: Props = $props();
  const preferences = usePreferences();
  const workspace = provideWorkspace(untrack(() => new Workspace(joint)));
  const readyDesk = providePrepareDesk(untrack(() => new PrepareDesk(joint.id, ready, person)));
  // A new release gets new desks; what was recorded of one release stays with it.
  const desks = $derived.by(() => {
    const current = release;
    if (current === null) return null;
    return untrack(
      () =>
        new ReleaseDesks(
          current,
          { heads: events, driving, rework },
          person,
          () => readyDesk.figures
        )
    );
  });
  const reworking = $derived(desks?.rework ?? null);
  const drive = $derived(desks?.drive ?? null);
  const desk = $derived(desks?.heads ?? null);
  provideReworkDesk({
    get desk() {
      return reworking;
    }
  });
  /** as released, with what was replaced since */
  const releaseShown = $derived(reworking?.now ?? null);
  const reworkedHoles = $derived(
    release && reworking
      ? inMetal(workspace.shown?.plan.holes ?? [], release, reworking.state, since)
      : []
  );
  const bound = $derived.by(() => {
    const { ownHeads, headsReason } = workspace.now?.definition ?? {
      ownHeads: false,
      headsReason: ''
    };
    const own = ownHeads ? headsReason.trim() : null;
    return boundRules(shop.rules, workspace.profile, own, {
      ...shop.setBy,
      // what is typed here and not saved yet is whose who types it
      ownHeads: joint.definition.ownHeads ? shop.setBy.ownHeads : person
    });
  });
  provideReleaseDesk({
    get release() {
      return releaseShown;
    },
    get desk() {
      return desk;
    },
    get count() {
      return desks?.count ?? null;
    },
    get person() {
      return person;
    },
    get role() {
      return role;
    },
    get signedBy() {
      return signedBy;
    },
    get since() {
      return since;
    },
    get bound() {
      return bound;
    },
    get inMetal() {
      return reworkedHoles;
    }
  });
  const onHand = $derived(countsOf(drawers));
  provideStock({
    get drawers() {
      return drawers;
    },
    get onHand() {
      return onHand;
    }
  });
  const oldWork = provideOldWork(untrack(() => oldWorkDesk(joint.id, person)));
  const seen = untrack(() => new Seen(joint.id, person));
  provideDriveDesk({
    get desk() {
      return drive;
    },
    get jobId() {
      return joint.job.id;
    },
    get toolsSet() {
      return toolsSet;
    }
  });
  // Wherever one is in the joint; once it is left, only what the server has counted is known to be gone.
  $effect(() => {
    cold.setOnTheirWay(drive?.onTheirWay ?? new Map());
    return () => cold.setOnTheirWay(new Map());
  });
  const openJoint = $derived({
    workspace,
    release: releaseShown,
    desk,
    count: desks?.count ?? null,
    drive,
    rework: reworking,
    oldWork,
    signedBy,
    ready: readyDesk
  });
  const status = $derived(standings(openJoint, seen, preferences.inWords));
  /** what this station waits for */
  const waits = $derived(status[station].mark === 'waits');
  // What stands here for a moment was looked at.
  $effect(() => {
    if (workspace.now && isPlanStation(station))
      seen.look(station, printOf(workspace.now.plan, station));
    // left, or changed, before that moment was over
    return () => seen.stop();
  });
  // Steps are no part of typing: they are counted once the plan stands still.
  $effect(() => {
    const { now } = workspace;
    readyDesk.count(now === null ? null : { ...now, profile: workspace.profile });
  });
  let keysOpen = $state(false);
  let rulesOpen = $state(false);

  $effect(() => {
    const held = desks;
    return held ? untrack(() => held.hold()) : undefined;
  });

  onMount(() => {
    noteOpened({ id: joint.id, title: joint.title });
    void workspace.restoreKept(joint);
    void readyDesk.restore();
    void oldWork.restore();
    seen.restore();
    // Stations are gone through without a server too.
    const forget = whenIdle(() => Promise.all(STATIONS.map(({ page }) => page())));
    const unbind = jointKeys(workspace, preferences, {
      go: (key) => void goto(`/joints/${joint.id}/${key}`),
      holes: () =>
        (station === 'inspect' ? releaseShown?.holes : workspace.shown?.plan.holes)?.map(
          ({ number }) => number
        ) ?? [],
      help: () => (keysOpen = true)
    });
    const onhide = () => {
      if (document.visibilityState === 'hidden') void workspace.save.flush(true);
    };
    document.addEventListener('visibilitychange', onhide);
    return () => {
      forget();
      unbind();
      readyDesk.stop();
      oldWork.stop();
      seen.stop();
      document.removeEventListener('visibilitychange', onhide);
      void workspace.save.flush();
    };
  });
</script>

<PickedSaid {station} {desk} />
<div class="joint">
  <h1 class="sr-only">{workspace.title}: {stationOf(station)?.name}</h1>
  <JointHead
    {joint}
    {workspace}
    onkeys={() => (keysOpen = true)}
    onrules={() => (rulesOpen = true)}
  />
  <LeftBehind texts={workspace.save.unreadable} title={workspace.title} />
  <StationLine
    jointId={joint.id}
    current={station}
    {status}
    alone={stationOf(station)?.standsAlone(openJoint) ?? false}
  />
  <MayNot {role} {station} />
  <div
    {@attach enterGoesOn}
    class="station"
    class:stopped={waits || status[station].mark === 'stop'}
  >
    {@render children()}
  </div>
  <!-- below the stage: it comes and goes as one types, and moves no field -->
  {#if waits}<StopBar
      jointId={joint.id}
      blocks={workspace.blocks}
      lifted={station === 'drive'}
    />{/if}
</div>

{#if workspace.save.state.kind === 'stale'}
  {@const { theirs, base } = workspace.save.state}
  <Later load={() => import('./StaleSheet.svelte')} wanted props={{ theirs, base, workspace }} />
{/if}
<KeptPages joint={joint.id} open={openJoint} />
<Later
  load={() => import('./RulesSheet.svelte')}
  wanted={rulesOpen}
  props={{ open: rulesOpen, profileId: joint.profileId, onclose: () => (rulesOpen = false) }}
/>
<KeysSheet open={keysOpen} onclose={() => (keysOpen = false)} />

<style>
  .joint {
    display: flex;
    flex-direction: column;
    height: 100%;
    min-width: 0;
  }
  .station {
    flex: 1 1 0;
    min-height: 0;
    min-width: 0;
  }
  /* One below the other, a stage is as long as it is: what stands below it stands at its end, not on it. */
  @media (max-width: 900px) {
    .joint {
      height: auto;
      min-height: 100%;
    }
    .station {
      flex: 1 0 auto;
    }
  }
  /* Nothing is green while something stops the joint. */
  .stopped {
    --olive: var(--metal-dark);
    --olive-deep: var(--ink-soft);
    --olive-soft: var(--bench);
    --olive-fill: var(--metal-dark);
  }
</style>
