import { DRILLS } from '$core/catalog/drills.ts';
import { DASHES, rivetSize } from '$core/catalog/rivets.ts';
import type { DrivingTools } from '$core/drive/driving-tools.ts';
import { gunsFor, squeezersFor } from '$core/driving/driving-ways.ts';
import { Alloy, Head, HeadLimitsKey } from '$core/schema/fields.ts';
import { ToolSetup, type SetTool } from '$core/tool-setting/tool-setup.ts';
import { writeDecimal } from '$core/units/format-length.ts';
import type { ToolTask } from '$lib/setting-view';
import { COMMON } from '$lib/words/pages/common';
import { TOOLS } from '$lib/words/pages/tools';
import { TOOL_WORDS } from '$lib/words/tool-settings';
import { Filling } from '../setting/filling.svelte';
import {
  choice,
  length,
  oneByOne,
  optionsOf,
  text,
  type FieldRow,
  type SetupField
} from '../setting/setup-field';

const NOT_SAID = { value: '', text: 'not said' };

/** What a tool is to be set for, being filled in: of a released run, or typed. */
export class ToolFilling extends Filling<ToolSetup> {
  constructor(
    readonly tools: DrivingTools,
    readonly task: ToolTask | null
  ) {
    super({
      name: `tool-setup.${task ? `${task.jointId}.${task.run.key}` : ''}`,
      Schema: ToolSetup,
      told: () => ({
        tool: 'squeezer',
        dash: String(task?.setups[0]?.dash ?? 4),
        head: 'universal',
        alloy: 'AD',
        dimpled: 'no',
        limits: 'standard'
      }),
      entered: () => this.#entered()
    });
  }

  override shown(field: string): string {
    return field === 'name' ? this.name : field === 'holeIn' ? this.holeIn : this.of(field);
  }

  readonly tool = $derived.by(() => this.of('tool') as SetTool);
  /** a run’s is the release’s */
  readonly dash = $derived.by(
    () =>
      (this.tool === 'dies' ? undefined : this.task?.setups[0]?.dash) ??
      DASHES.find((one) => String(one) === this.of('dash')) ??
      4
  );
  /** dies press sheets, for which only the size tells */
  readonly alloy = $derived.by(() =>
    this.tool === 'dies'
      ? 'AD'
      : (this.task?.setups.find((one) => one.tool !== 'dies')?.alloy ??
        Alloy.options.find((one) => one === this.of('alloy')) ??
        'AD')
  );
  /** those that suit the size, the best first */
  readonly fitting = $derived.by(() =>
    (this.tool === 'gun'
      ? gunsFor({ dash: this.dash }, this.tools)
      : squeezersFor({ dash: this.dash, alloy: this.alloy }, this.tools)
    ).map((one) => one.name)
  );
  readonly names = $derived.by(() => [
    ...new Set([
      ...this.fitting,
      ...(this.tool === 'gun' ? this.tools.guns : this.tools.squeezers).map((one) => one.name)
    ])
  ]);
  readonly name = $derived.by(
    () => this.names.find((one) => one === this.of('name')) ?? this.names[0] ?? ''
  );
  /** the run’s own, as that tool would be set for it */
  readonly fromRun = $derived.by(
    () =>
      this.task?.setups.find((setup) => setup.tool === this.tool && setup.name === this.name) ??
      null
  );
  readonly adjuster = $derived.by(() =>
    this.tool === 'gun' ? undefined : this.tools.squeezers.find((one) => one.name === this.name)
  );
  /** the shop has none that suits the size better than this one does */
  readonly weak = $derived.by(
    () => this.tool !== 'dies' && this.name !== '' && !this.fitting.includes(this.name)
  );

  /** the hole that the chosen drill makes, until another is typed */
  readonly holeIn = $derived.by(() => {
    const typed = this.of('holeIn');
    const drill = DRILLS.find(({ name }) => name === rivetSize(this.dash).drill.close);
    return typed === '' && drill ? writeDecimal(drill.diameterIn, 3, 6) : typed;
  });

  #entered(): unknown {
    const { tool, name, dash, fromRun } = this;
    const { turnIn = 0, divisionsPerTurn = 0 } = this.adjuster ?? {};
    const lot = this.of('lot');
    const own =
      tool === 'gun' ? { set: this.of('set'), bar: this.of('bar') } : { turnIn, divisionsPerTurn };
    // what the release says of its rivets is nobody’s to type
    if (fromRun) return { ...fromRun, ...own, lot };
    if (tool === 'dies')
      return {
        tool,
        name,
        ...own,
        dash,
        sheetIn: this.of('sheetIn'),
        material: this.of('material'),
        lot
      };
    const head = this.of('head');
    return {
      ...{ tool, name, ...own, dash, head, lot, wideIn3: 0, holeIn: this.holeIn },
      ...{ alloy: this.of('alloy'), limits: this.of('limits') },
      ...{ lengthIn: this.of('lengthIn'), gripIn: this.of('gripIn') },
      dimpled: this.of('dimpled') === 'yes' && head === 'countersunk'
    };
  }
}

const oneOf = (key: string, label: string, values: readonly string[]) =>
  choice(key, label, optionsOf(values));
const picked = (key: string, label: string, options: ReturnType<typeof optionsOf>): SetupField => ({
  key,
  label,
  as: 'pick',
  options
});

/** Which tool. */
export const toolRows = ({ tool, names }: ToolFilling): FieldRow[] =>
  oneByOne(
    choice('tool', 'Tool', optionsOf(['squeezer', 'gun', 'dies'], TOOL_WORDS), { testid: 'tool' }),
    ...(names.length === 0
      ? []
      : [picked('name', tool === 'gun' ? TOOLS.whichGun : TOOLS.whichSqueezer, optionsOf(names))])
  );

/** The rivet that it is set for, or the sheets; nothing where a run says it. */
export function workRows({ tool, fromRun, of }: ToolFilling): FieldRow[] {
  if (fromRun) return [];
  const dash = { fields: [oneOf('dash', 'Rivet, dash', DASHES.map(String))] };
  if (tool === 'dies')
    return [
      dash,
      { fields: [length('sheetIn', TOOLS.eachSheet), text('material', COMMON.material, 40)] }
    ];
  const flush = of('head') === 'countersunk';
  const limits = optionsOf(HeadLimitsKey.options);
  const own = of('limits').startsWith('own:')
    ? [{ value: of('limits'), text: 'the joint’s own' }]
    : [];
  return [
    dash,
    { fields: [oneOf('head', 'Head', Head.options), oneOf('alloy', 'Alloy', Alloy.options)] },
    {
      narrow: true,
      fields: [
        length('lengthIn', COMMON.length),
        length('gripIn', COMMON.grip),
        length('holeIn', 'Hole')
      ]
    },
    { fields: flush ? [oneOf('dimpled', 'Dimpled through', ['yes', 'no'])] : [] },
    { fields: [choice('limits', 'Limits', [...limits, ...own])] }
  ];
}

/** What goes with it: set and bar of a gun, and the lot that it is tried with. */
export function besideRows({ tool, tools }: ToolFilling): FieldRow[] {
  const named = (had: readonly { name: string }[]) => [
    NOT_SAID,
    ...optionsOf(had.map(({ name }) => name))
  ];
  const set = [picked('set', 'Set', named(tools.sets)), picked('bar', 'Bar', named(tools.bars))];
  return [
    { fields: tool === 'gun' ? set : [] },
    ...oneByOne(text('lot', COMMON.lot, 60, 'A new lot requires a re-check.'))
  ];
}
