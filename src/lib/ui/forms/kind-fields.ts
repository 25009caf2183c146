import type { EnteredJoint, EnteredOf, JointKind } from '$core/joint/kinds.ts';

type Shown<K extends JointKind> = (entered: EnteredOf<K>) => boolean;

/** A measured field: the question it answers, and what an empty one stands for. */
export interface LengthAsk<K extends JointKind = JointKind> {
  ask: 'length' | 'number';
  key: string;
  label: string;
  placeholder?: string;
  whenEmpty?: string;
  when?: Shown<K>;
}
/** One of a few, all in sight. */
export interface ChoiceAsk<K extends JointKind = JointKind> {
  ask: 'choice';
  key: string;
  label: string;
  options: readonly { value: string; text: string }[];
  /** the document's value for an option's text, where it is no text */
  read?: (value: string) => string | number | boolean;
  when?: Shown<K>;
}
export type Ask<K extends JointKind = JointKind> = LengthAsk<K> | ChoiceAsk<K>;

const length = (
  key: string,
  label: string,
  placeholder: string,
  whenEmpty?: string
): LengthAsk => ({
  ask: 'length',
  key,
  label,
  placeholder,
  ...(whenEmpty === undefined ? {} : { whenEmpty })
});
const whole = (value: string) => Number(value);
const rowsOrAuto = (value: string) => (value === 'auto' ? 'auto' : Number(value));
const options = (...pairs: [string, string][]) => pairs.map(([value, text]) => ({ value, text }));

const ROWS: ChoiceAsk = {
  ask: 'choice',
  key: 'rows',
  label: 'Rows',
  options: options(['auto', 'Auto'], ['1', '1'], ['2', '2'], ['3', '3']),
  read: rowsOrAuto
};
const PATTERN: ChoiceAsk = {
  ask: 'choice',
  key: 'pattern',
  label: 'Pattern',
  options: options(['in-line', 'In line'], ['staggered', 'Staggered'])
};
const CARRIES: ChoiceAsk = {
  ask: 'choice',
  key: 'carries',
  label: 'Does it carry load?',
  options: options(['guidance', 'Yes: size it'], ['attach', 'No: it only holds'])
};

/** What a kind of joint asks at Carry: its size and what it is made of. */
const AT_CARRY: Record<JointKind, Ask[]> = {
  lap: [length('widthIn', 'Joint width, along the rivet row', '10 3/4')],
  splice: [
    length('widthIn', 'Joint width, along the rivet rows', '10 3/4'),
    length('gapIn', 'Gap between the skins’ ends', '0', 'none: they touch'),
    length('farSheetIn', 'Far skin, if of another thickness', 'same', 'as thick as the near one')
  ],
  sandwich: [
    length('widthIn', 'Width of the broken member', '2 1/4'),
    length('gapIn', 'Gap at the break', '0', 'none'),
    {
      ask: 'choice',
      key: 'shear',
      label: 'Count each rivet as cut in',
      options: options(['single', 'one place (as printed)'], ['double', 'two places'])
    }
  ],
  patch: [
    length('cutoutWIn', 'How wide is the cut-out (or the damage)?', '3 1/2'),
    length('cutoutHIn', 'How high?', '2 1/4'),
    {
      ask: 'choice',
      key: 'style',
      label: 'What covers it?',
      options: options(
        ['flush', 'Insert + doubler'],
        ['plate-over', 'Plate over'],
        ['plate-under', 'Plate under']
      )
    },
    length('crackIn', 'Does a crack stay? Its length', 'cut out', 'none: the damage is cut out'),
    {
      ...length('crackTurnDeg', 'Turned from level, degrees', '0', 'level'),
      ask: 'number',
      when: (entered: EnteredOf<'patch'>) => entered.crackIn.trim() !== ''
    } as LengthAsk,
    {
      ask: 'choice',
      key: 'crackDrill',
      label: 'Stop-drill its ends',
      options: options(['#40', '#40'], ['#30', '#30']),
      when: (entered: EnteredOf<'patch'>) => entered.crackIn.trim() !== ''
    } as ChoiceAsk,
    CARRIES
  ],
  round: [
    length('cutoutIn', 'Diameter of the cut-out', '2 1/2'),
    {
      ask: 'choice',
      key: 'insert',
      label: 'Fill it flush?',
      options: options(['yes', 'Insert'], ['no', 'Left open']),
      read: (value) => value === 'yes'
    },
    CARRIES
  ],
  line: [
    length('lengthIn', 'Length of the flange or stiffener', '18'),
    length('flangeIn', 'Width of the flange, edge to heel', '3/4'),
    length('bendRadiusIn', 'Bend radius, inside', '1/8'),
    CARRIES
  ],
  tapered: [
    length('lengthIn', 'Length of the member', '164'),
    length('flangeIn', 'Flange width at the datum end', '1 1/2'),
    length('flangeEndIn', 'Flange width at the far end', 'same', 'as wide as at the datum'),
    CARRIES
  ],
  panel: [
    length('widthIn', 'Width of the clear panel', '22'),
    length('heightIn', 'Height', '14'),
    length('frameIn', 'Width of the frame strip', '1'),
    {
      ask: 'choice',
      key: 'material',
      label: 'What is it made of?',
      options: options(['acrylic', 'Acrylic'], ['polycarbonate', 'Polycarbonate'])
    },
    {
      ask: 'number',
      key: 'deltaTC',
      label: 'Coldest to hottest, °C',
      placeholder: '60',
      whenEmpty: '60 °C'
    }
  ]
};

const EDGE = length('edgeIn', 'Edge distance', 'usual', 'next 1/32 over the least');
const count = (side: string): LengthAsk => ({
  ask: 'number',
  key: `${side}Count`,
  label: `Rivets, ${side}`,
  placeholder: 'fewest',
  whenEmpty: 'the fewest that hold'
});

/** What a kind of joint asks at Lay out. */
const AT_LAY_OUT: Record<JointKind, Ask[]> = {
  lap: [ROWS, PATTERN, EDGE],
  splice: [ROWS, PATTERN, EDGE],
  sandwich: [ROWS, PATTERN, EDGE],
  patch: [
    {
      ask: 'choice',
      key: 'rows',
      label: 'Lines round the cut-out',
      options: options(['1', 'One'], ['2', 'Two']),
      read: whole
    },
    EDGE,
    length('cornerRadiusIn', 'Corner radius of the cut-out', '1/2', '1/2 in'),
    {
      ...length('insertClearanceIn', 'Clearance round the insert', '1/32', '1/32 in'),
      when: (entered: EnteredOf<'patch'>) => entered.style === 'flush'
    } as LengthAsk,
    {
      ...length('insertSheetIn', 'Insert thickness', 'as the skin', 'as thick as the skin'),
      when: (entered: EnteredOf<'patch'>) => entered.style === 'flush'
    } as LengthAsk
  ],
  round: [
    {
      ask: 'choice',
      key: 'rings',
      label: 'Rings of rivets',
      options: options(['1', 'One'], ['2', 'Two'], ['3', 'Three']),
      read: whole
    },
    EDGE,
    {
      ...length('insertClearanceIn', 'Clearance round the insert', '1/32', '1/32 in'),
      when: (entered: EnteredOf<'round'>) => entered.insert
    } as LengthAsk,
    {
      ...length('insertSheetIn', 'Insert thickness', 'as the skin', 'as thick as the skin'),
      when: (entered: EnteredOf<'round'>) => entered.insert
    } as LengthAsk
  ],
  line: [EDGE, length('offsetIn', 'Line from the flange edge', 'usual', 'one edge distance')],
  tapered: [
    {
      ask: 'choice',
      key: 'lines',
      label: 'Rivet lines',
      options: options(['1', 'One, in the middle'], ['2', 'Two, along the edges']),
      read: whole
    },
    EDGE
  ],
  panel: [
    EDGE,
    length('bracketIn', 'Corner bracket’s leg, along each side', 'none', 'no brackets'),
    count('top'),
    count('bottom'),
    count('left'),
    count('right')
  ]
};

const shownOf = (asks: readonly Ask[], entered: EnteredJoint): Ask[] =>
  asks.filter(
    (ask) => ask.when === undefined || (ask.when as (of: EnteredJoint) => boolean)(entered)
  );

/** The questions a joint's kind asks at a station, those that do not apply left out. */
export const asksOf = (station: 'carry' | 'lay-out', entered: EnteredJoint): Ask[] =>
  shownOf((station === 'carry' ? AT_CARRY : AT_LAY_OUT)[entered.kind], entered);

/** Kinds whose sheets may be more or fewer. */
/** Sheets whose place is their role, counted from each end: they are not moved. */
export const SHEET_ROLES: Record<JointKind, { first: number; last: number }> = {
  lap: { first: 0, last: 0 },
  splice: { first: 1, last: 0 },
  patch: { first: 1, last: 0 },
  round: { first: 1, last: 0 },
  line: { first: 0, last: 1 },
  tapered: { first: 0, last: 1 },
  panel: { first: 3, last: 0 },
  sandwich: { first: 3, last: 0 }
};

/** Whether layers may begin, end or taper along the joint. */
export const SHEET_LAYERS: Record<JointKind, boolean> = {
  lap: true,
  splice: true,
  patch: false,
  round: false,
  line: true,
  tapered: true,
  panel: false,
  sandwich: true
};

export const SHEETS_VARY: Record<JointKind, boolean> = {
  lap: true,
  splice: true,
  patch: true,
  round: true,
  line: true,
  tapered: true,
  panel: false,
  sandwich: false
};
