/** What a rule of the rivet and its sheets refuses; lengths in inches. */
type CarryRefusal =
  | { code: 'rivet-too-large'; dash: number; thicknessIn: number; leastSheetIn: number }
  | {
      code: 'rivet-too-small';
      dash: number;
      thicknessIn: number;
      perInch: number;
      mostPerInch: number;
      shear: 'single' | 'double';
    }
  | { code: 'no-sheet-between'; pitchIn: number; holeIn: number }
  | { code: 'no-bearing-value'; edgeIn: number; leastD: number; leastIn: number };

/** What keeps holes from being laid out. */
type LayoutRefusal =
  | { code: 'line-too-short'; spanIn: number }
  | {
      code: 'too-many-for-span';
      required: number;
      spanIn: number;
      pitchIn: number;
      pitchMinD: number;
      pitchMinIn: number;
    }
  | {
      code: 'too-many-for-rows';
      required: number;
      rows: number;
      inRow: number;
      pitchIn: number;
      pitchMinD: number;
      pitchMinIn: number;
    }
  | {
      code: 'edge-under-least';
      edgeIn: number;
      edgeMinD: number;
      edgeMinIn: number;
      head: 'universal' | 'countersunk';
      dash: number;
    }
  | { code: 'no-room-between-edges'; widthIn: number; edgeIn: number }
  | {
      code: 'edge-outside';
      edgeIn: number;
      edgeMinD: number;
      edgeMaxD: number;
      edgeMinIn: number;
      edgeMaxIn: number;
    }
  | { code: 'corner-radius-outside'; radiusIn: number; leastIn: number; halfSideIn: number }
  | { code: 'cutout-too-small'; line: string; wIn: number; hIn: number }
  | {
      code: 'pitch-under-least';
      line: string;
      pitchIn: number;
      pitchMinD: number;
      pitchMinIn: number;
    }
  | { code: 'insert-corner-near'; edgeIn: number; diameterIn: number }
  | { code: 'no-insert-line'; cutoutIn: number; leastIn: number }
  | { code: 'no-member-line' }
  | { code: 'flush-in-plastic' }
  | { code: 'square-corner'; leastIn: number; usualIn: number }
  | { code: 'frame-covers-panel'; frameIn: number; panelIn: number }
  | { code: 'one-between-corners'; side: string }
  | { code: 'on-side'; side: string; of: RefusalSaid }
  | {
      code: 'ring-too-full';
      count: number;
      ringIn: number;
      pitchIn: number;
      pitchMinD: number;
      pitchMinIn: number;
    }
  | { code: 'over-largest-drill'; holeIn: number; drill: string; drillIn: number }
  | { code: 'tapes-short'; fromAIn: number; fromBIn: number; shortIn: number; baseIn: number }
  | { code: 'tapes-apart'; differIn: number; baseIn: number }
  | { code: 'one-datum-point' }
  | { code: 'holes-too-close'; firstIn: number; lastIn: number; pitchMinIn: number }
  | { code: 'no-holes-fit'; firstIn: number; lastIn: number; pitchMinIn: number }
  | {
      code: 'pitch-too-small';
      neededIn: number;
      pitchMaxIn: number;
      fromIn: number;
      toIn: number;
    }
  | { code: 'fixed-beyond-row'; holeIn: number; startIn: number; endIn: number }
  | { code: 'hole-in-keep-out'; holeIn: number; fromIn: number; toIn: number }
  | { code: 'too-many-sheets'; sheets: number; paper: string; most: number };

/** What a stack refuses. */
type StackRefusal =
  | {
      code: 'no-part-number';
      wrong: 'head' | 'shape' | 'alloy' | 'diameter' | 'step' | 'length';
      text: string;
      /** what would be one: its first and last, or all */
      among: readonly (string | number)[];
    }
  | { code: 'not-dimpled-head' | 'no-flush-method' }
  | {
      code: 'no-such-length';
      gripIn: number;
      sixteenths: number;
      shortest: number;
      longest: number;
    }
  | { code: 'hole-too-small'; holeIn: number; dash: number; diameterIn: number }
  | { code: 'hole-too-large'; holeIn: number; dash: number; mostIn: number }
  | { code: 'head-over-grip'; headIn: number; gripIn: number }
  | { code: 'too-thick-to-dimple'; thickIn: number; limitIn: number }
  | { code: 'no-metal-for-head'; lengthIn: number; gripIn: number; holeIn: number }
  | { code: 'protrusion-outside'; lengthIn: number; protrusionIn: number };

/** What making ready refuses. */
type ReadyRefusal =
  | { code: 'cut-through'; dash: number; deepIn: number; sheetIn: number; highIn: number }
  | {
      code: 'target-outside';
      targetIn: number;
      lowIn: number;
      highIn: number;
      nearestIn: number;
    }
  | { code: 'film-unsaid' }
  | { code: 'nest-through'; depthIn: number; sheetIn: number }
  | { code: 'setting-withdrawn' | 'no-such-reading' }
  | { code: 'recheck-backwards'; last: number; after: number }
  /** `here`: the setting at which more holes must agree; null where something else comes first */
  | { code: 'readings-not-done'; here: { clicks: number; holesToGo: number } | null }
  | { code: 'too-few-holders'; pilot: number; final: number; lines: number };

/** What driving refuses. */
type DriveRefusal =
  | { code: 'protrusion-not-1-to-2-d'; protrusionIn: number; diameterIn: number }
  | { code: 'lens-too-near'; standoffIn: number; highIn: number }
  | { code: 'bar-does-not-go-in'; insideIn: number; barIn: number; protrusionIn: number }
  | { code: 'no-gauge'; what: 'hole' | 'notch'; valueIn: number; leastIn: number; mostIn: number };

/** What setting a tool refuses. */
type ToolRefusal =
  | {
      code: 'no-good-head';
      dash: number;
      lengthIn: number;
      gripIn: number;
      limits: string;
    }
  | { code: 'head-over-free-end'; heightIn: number; freeIn: number }
  | { code: 'tool-is-set' | 'tool-not-set' | 'not-this-tool' | 'fresh-rivet-first' | 'wood-first' };

/** What the log of driving refuses. */
type DrivenRefusal =
  | { code: 'no-batch'; hole: number; part: string }
  | { code: 'batch-of-another'; hole: number; part: string; batch: string }
  | { code: 'batch-expired'; hole: number; lot: string; limitMin: number }
  | { code: 'before-its-batch'; hole: number; lot: string; beforeMin: number }
  /** `strange`: a number that is no hole of the release; null where holes are missing or come twice */
  | { code: 'no-whole-order'; holes: number; strange: number | null }
  | { code: 'part-not-driven'; part: string }
  | { code: 'carried-by-release' }
  | { code: 'lot-of-its-batch'; part: string }
  /** inside a closed member the bar with the shop's shims does not serve this rivet */
  | { code: 'no-shims-serve'; hole: number }
  | { code: 'not-driven-cold'; alloy: string }
  | { code: 'not-so-many-out'; count: number; left: number };

/** What the record of heads and bins refuses. */
type RecordRefusal =
  | { code: 'held-open'; hole: number; reason: string }
  | { code: 'no-such-hole'; hole: number }
  | { code: 'look-first'; hole: number }
  | { code: 'nothing-seen'; hole: number }
  | { code: 'no-flush-limits'; hole: number }
  | { code: 'plate-contradicts'; what: 'hole' | 'notch' }
  | { code: 'signed'; by: string }
  | { code: 'not-ready-to-sign' | 'told-not-accepted'; open: number }
  | { code: 'checks-own-work'; hole: number }
  | { code: 'signs-own-work' | 'signed-before-last' }
  | { code: 'stated-after-entry' | 'stated-too-early'; hole: number }
  | { code: 'practice-from-stock' | 'practice-not-signed' }
  | { code: 'rivet-mismatch'; part: string }
  | { code: 'hole-is-wider'; holeIn: number; widestIn: number }
  | { code: 'no-blind'; hole: number }
  | { code: 'blind-too-short'; gripIn: number; sheetsIn: number }
  | { code: 'walls-under-grip'; hole: number; gripIn: number; wallsIn: number }
  | { code: 'walls-do-not-taper'; leastIn: number; mostIn: number }
  | { code: 'hole-not-ready' | 'question-open' | 'rivet-is-in'; hole: number }
  | { code: 'reading-of-another'; by: string }
  | { code: 'lead-decides' }
  | { code: 'rework-order'; hole: number }
  | { code: 'no-room-frozen'; hole: number }
  | { code: 'no-such-referral' }
  | { code: 'no-such-finding' }
  | { code: 'disposition-by-data'; disposition: 'replace' | 'refer' | 'leave' }
  | { code: 'answered-already'; by: string }
  | { code: 'bin-kept-otherwise'; lot: string; part: string; cold: boolean }
  | { code: 'not-so-many'; count: number; held: number; part: string; lot: string };

/** What a field refuses that it was given. */
type FieldRefusal =
  /** a schema's own short words: they hold no length */
  | { code: 'told'; text: string }
  | {
      code: 'length-outside';
      what: string;
      must: 'over' | 'at-least' | 'at-most';
      limitIn: number;
      valueIn: number;
    }
  | {
      code: 'slipped-sheet';
      valueIn: number;
      must: 'over' | 'under';
      limitIn: number;
      meantIn: number | null;
    }
  | {
      code: 'slipped-head';
      valueIn: number;
      valueD: number;
      way: 'wide' | 'high';
      leastIn: number;
      mostIn: number;
    }
  | { code: 'end-before-start'; endIn: number; startIn: number }
  | { code: 'span-too-long'; spanIn: number; mostIn: number }
  | { code: 'grid-too-fine'; gridIn: number; spanIn: number; most: number }
  | { code: 'pitches-crossed'; leastIn: number; mostIn: number }
  | { code: 'keep-out-backwards'; fromIn: number; toIn: number }
  | { code: 'limits-crossed'; lowIn: number; highIn: number }
  | { code: 'target-outside-limits'; targetIn: number; lowIn: number; highIn: number };

/** Why there is no result, as a code with its quantities. */
export type RefusalSaid =
  | CarryRefusal
  | LayoutRefusal
  | StackRefusal
  | ReadyRefusal
  | DriveRefusal
  | DrivenRefusal
  | ToolRefusal
  | RecordRefusal
  | FieldRefusal;

/** A refusal in a schema's own words. */
export const told = (text: string): RefusalSaid => ({ code: 'told', text });

/** What a schema complains of, as a code with its quantities: `params` of its issue. */
export const saying = (why: RefusalSaid): { said: RefusalSaid } => ({ said: why });
