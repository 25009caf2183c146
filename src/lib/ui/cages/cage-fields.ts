import { DRILLS } from '$core/catalog/drills.ts';
import { DASHES, rivetSize } from '$core/catalog/rivets.ts';
import { Cage } from '$core/prepare/cage/cage.ts';
import { CageSetup } from '$core/prepare/cage/setup.ts';
import type { CageTask } from '$core/prepare/cage/tasks.ts';
import { SCHOOLS } from '$core/rules/schools.ts';
import { THICKEST_SHEET_IN } from '$core/schema/fields.ts';
import { writeDecimal } from '$core/units/format-length.ts';
import { notationInWords } from '$lib/words/arithmetic';
import { CAGES } from '$lib/words/pages/cages';
import type { LengthStyle } from '$core/units/format-length.ts';
import { Filling } from '../setting/filling.svelte';
import { choice, length, oneByOne, optionsOf, text, type FieldRow } from '../setting/setup-field';

const written = (lengthIn: number | null | undefined) =>
  lengthIn === null || lengthIn === undefined ? '' : writeDecimal(lengthIn, 3, 6);

/** A cage itself. */
const CUTTER_DEGS = ['100', '110', '120'];
export const CAGE_ROWS = oneByOne(
  text('name', CAGES.cage, 40, 'as on its tape'),
  text('cutter', CAGES.cutter, 40, 'its number or mark'),
  choice(
    'cutterDeg',
    'Angle of the cutter',
    CUTTER_DEGS.map((value) => ({ value, text: `${value}°` }))
  ),
  length('cutterIn', CAGES.cutterDiameter),
  length('pilotIn', CAGES.pilotDiameter),
  length('pilotLengthIn', CAGES.pilotLength)
);
const CAGE_KEYS = CAGE_ROWS.flatMap(({ fields }) => fields.map(({ key }) => key));

export const cageFilling = () =>
  new Filling({
    name: 'new-cage',
    Schema: Cage,
    told: () => ({ cutterDeg: '100' }),
    entered: (of) => ({
      ...Object.fromEntries(CAGE_KEYS.map((key) => [key, of(key)])),
      cutterDeg: Number(of('cutterDeg'))
    })
  });

/** What a cage is set for, where a joint's step tells most of it. */
export type StepTask = CageTask & { jointId: string; work: string };

const FILM_ASKED = [
  { key: 'filmCut', part: 'cut', label: 'Film on while the coupon is cut' },
  { key: 'filmRead', part: 'read', label: 'Film on while the head is read' },
  { key: 'filmWork', part: 'work', label: 'Film on while the work will be cut' }
] as const;
const hasFilm = (of: (field: string) => string) =>
  Number.parseFloat(of('filmIn')) > 0 || /[1-9]/.test(of('filmIn'));

const ON_OR_OFF = optionsOf(['yes', 'no'], { yes: 'on', no: 'off' });
/** Diameters of the final drills, offered at the hole. */
export const FINAL_DRILLS = DASHES.flatMap((dash) =>
  DRILLS.filter(({ name }) => name === rivetSize(dash).drill.close).map(({ name, diameterIn }) => ({
    name,
    text: written(diameterIn)
  }))
);

/** The fields of a setting, as far as they are asked of what is typed so far. */
export function setupRows(of: (field: string) => string, lengths: LengthStyle): FieldRow[] {
  const drill = FINAL_DRILLS.find(({ text: at }) => Number(at) === Number(of('holeIn')))?.name;
  const seats = optionsOf(['rivet', 'dimpled-scrap'], {
    rivet: 'a rivet',
    'dimpled-scrap': 'a dimpled scrap'
  });
  const schools = SCHOOLS.find(({ key }) => key === 'flushness')?.options ?? [];
  const list = 'gauges';
  return [
    {
      fields: [
        choice('dash', 'Rivet, dash', optionsOf(DASHES.map(String))),
        choice('seat', 'Measure with', seats)
      ]
    },
    {
      narrow: true,
      fields: [
        length('sheetIn', CAGES.theSheetToCut, { list }),
        length('skinIn', 'Dimpled sheets above it', {
          list,
          whenEmpty: 'none: a rivet in the cut'
        }),
        length('holeIn', CAGES.theHole, { list: 'final-drills' })
      ],
      hint: drill ? `The hole is a ${drill} drill’s.` : ''
    },
    {
      title: 'The coupon',
      narrow: true,
      fields: [
        length('couponIn', CAGES.theCouponAsMeasured, { list }),
        length('backingIn', CAGES.backingUnderIt),
        length('filmIn', 'Film thickness', { whenEmpty: '0 where none is on' })
      ]
    },
    {
      narrow: true,
      fields: hasFilm(of) ? FILM_ASKED.map(({ key, label }) => choice(key, label, ON_OR_OFF)) : []
    },
    { fields: [text('couponMaterial', 'Material of the coupon', 40)] },
    {
      title: 'Flushness',
      fields: [
        choice(
          'school',
          'Flushness limits',
          schools.map(({ value, text: said, who }) => ({
            value,
            text: notationInWords(said, lengths),
            title: who
          })),
          { quiet: true }
        )
      ]
    },
    {
      fields: [
        length('targetIn', 'Target', { whenEmpty: 'the middle of the limits' }),
        { key: 'recheckEvery', label: 'Re-check every … holes', as: 'whole', most: 4 }
      ]
    }
  ];
}

/** A setting of a cage being filled in. */
export function setupFilling(cageId: string, task: StepTask | null, recheckEvery: number) {
  const setup = task?.setup;
  const told: Record<string, string> = {
    dash: String(setup?.dash ?? 4),
    seat: setup?.seat ?? 'rivet',
    sheetIn: written(setup?.sheetIn),
    material: setup?.material ?? '',
    skinIn: written(setup?.skinIn),
    holeIn: written(setup?.holeIn),
    couponMaterial: setup?.material ?? '',
    filmIn: '0',
    school: setup?.school ?? 'two-proud',
    recheckEvery: String(recheckEvery)
  };
  return new Filling({
    name: `setup.${cageId}.${task ? `${task.jointId}.${task.key}` : ''}`,
    Schema: CageSetup,
    told: () => told,
    entered(of) {
      const orNull = (field: string) => (of(field).trim() === '' ? null : of(field));
      const said = hasFilm(of) && FILM_ASKED.every(({ key }) => of(key) !== '');
      return {
        ...Object.fromEntries(
          [
            'seat',
            'sheetIn',
            'material',
            'holeIn',
            'couponIn',
            'couponMaterial',
            'backingIn',
            'filmIn',
            'school'
          ].map((key) => [key, of(key)])
        ),
        dash: Number(of('dash')),
        skinIn: orNull('skinIn'),
        targetIn: orNull('targetIn'),
        // null until all three are answered
        filmOn: said
          ? Object.fromEntries(FILM_ASKED.map(({ key, part }) => [part, of(key) === 'yes']))
          : null,
        thickMeant: of('thickMeant') === 'yes' || (setup?.sheetIn ?? 0) > THICKEST_SHEET_IN,
        recheckEvery: Number(of('recheckEvery'))
      };
    }
  });
}
