import { z } from 'zod';
import { invalidInput, type Answer } from './answer.ts';
import { RivetDiameterInput, RivetDiameterResult, rivetDiameter } from './size/rivet-diameter.ts';
import {
  RivetsRequiredInput,
  RivetsRequiredResult,
  rivetsRequired
} from './size/rivets-required.ts';
import { GaugeVerdictInput, GaugeVerdictResult, gaugeVerdict } from './inspect/gauge-verdict.ts';
import { SamplingDueInput, SamplingDueResult, samplingDue } from './inspect/sampling-due.ts';
import { DrivenHeadInput, DrivenHeadResult, drivenHead } from './inspect/driven-head.ts';
import { RowLayoutInput, RowLayoutResult, rowLayout } from './layout/row-layout.ts';
import { JointStrengthInput, JointStrengthResult, jointStrength } from './size/joint-strength.ts';
import { ColdBatchInput, ColdBatchResult, coldBatch } from './drive/cold-batch.ts';
import { SqueezerNextInput, SqueezerNextResult, squeezerNext } from './drive/squeezer-next.ts';
import { WedgeBarInput, WedgeBarResult, wedgeBar } from './drive/wedge-bar.ts';
import { SqueezerGapInput, SqueezerGapResult, squeezerGap } from './drive/squeezer-gap.ts';
import {
  ConstrainedRowInput,
  ConstrainedRowResult,
  constrainedRow
} from './layout/constrained-row.ts';
import { PatchLayoutInput, PatchLayoutResult, patchLayout } from './layout/patch-layout.ts';
import {
  ClearPanelHoleInput,
  ClearPanelHoleResult,
  clearPanelHole
} from './layout/clear-panel-hole.ts';
import {
  CountersinkNextInput,
  CountersinkNextResult,
  countersinkNext
} from './prepare/countersink-next.ts';
import { HolePlanInput, HolePlanResult, holePlan } from './prepare/hole-plan.ts';
import { OversizeInput, OversizeResult, oversize } from './rework/oversize.ts';
import { RemovalInput, RemovalResult, removal } from './rework/removal.ts';
import { DimpleNestInput, DimpleNestResult, dimpleNest } from './stack/dimple-nest.ts';
import { told } from './refusal-said.ts';
import { readInput } from './schema/read.ts';
import { FlushMethodInput, FlushMethodResult, flushMethod } from './stack/flush-method.ts';
import { PartNumberInput, PartNumberResult, partNumber } from './stack/part-number.ts';
import { PredictHeadInput, PredictHeadResult, predictHead } from './stack/predict-head.ts';
import { RivetLengthInput, RivetLengthResult, rivetLength } from './stack/rivet-length.ts';

/** One calculation: the schemas of its input and result, and its function from raw input. */
export interface Operation {
  input: z.ZodType;
  result: z.ZodType;
  run(raw: unknown): Answer<unknown>;
}

const operation = <I extends z.ZodType, R extends z.ZodType>(
  input: I,
  result: R,
  compute: (input: z.output<I>) => Answer<z.output<R>>
): Operation => ({
  input,
  result,
  run(raw) {
    const read = readInput(input, raw);
    return read.ok ? compute(read.value) : read;
  }
});

/** Every calculation of the core by name: the pages, the command and the server answer from this table. */
export const OPERATIONS: Readonly<Record<string, Operation>> = {
  'rivet-diameter': operation(RivetDiameterInput, RivetDiameterResult, rivetDiameter),
  'part-number': operation(PartNumberInput, PartNumberResult, partNumber),
  'rivets-required': operation(RivetsRequiredInput, RivetsRequiredResult, rivetsRequired),
  'joint-strength': operation(JointStrengthInput, JointStrengthResult, jointStrength),
  'row-layout': operation(RowLayoutInput, RowLayoutResult, rowLayout),
  'constrained-row': operation(ConstrainedRowInput, ConstrainedRowResult, constrainedRow),
  'patch-layout': operation(PatchLayoutInput, PatchLayoutResult, patchLayout),
  'rivet-length': operation(RivetLengthInput, RivetLengthResult, rivetLength),
  'predict-head': operation(PredictHeadInput, PredictHeadResult, predictHead),
  'flush-method': operation(FlushMethodInput, FlushMethodResult, flushMethod),
  'dimple-nest': operation(DimpleNestInput, DimpleNestResult, dimpleNest),
  'countersink-next': operation(CountersinkNextInput, CountersinkNextResult, countersinkNext),
  'driven-head': operation(DrivenHeadInput, DrivenHeadResult, drivenHead),
  'squeezer-gap': operation(SqueezerGapInput, SqueezerGapResult, squeezerGap),
  removal: operation(RemovalInput, RemovalResult, removal),
  oversize: operation(OversizeInput, OversizeResult, oversize),
  'cold-batch': operation(ColdBatchInput, ColdBatchResult, coldBatch),
  'clear-panel-hole': operation(ClearPanelHoleInput, ClearPanelHoleResult, clearPanelHole),
  'hole-plan': operation(HolePlanInput, HolePlanResult, holePlan),
  'squeezer-next': operation(SqueezerNextInput, SqueezerNextResult, squeezerNext),
  'wedge-bar': operation(WedgeBarInput, WedgeBarResult, wedgeBar),
  'gauge-verdict': operation(GaugeVerdictInput, GaugeVerdictResult, gaugeVerdict),
  'sampling-due': operation(SamplingDueInput, SamplingDueResult, samplingDue)
};

/**
 * Runs one calculation on raw input.
 *
 * @param op its name in the table
 * @param raw unparsed input
 * @throws never: bad input and rules that say no are answers
 */
export function calc(op: string, raw: unknown): Answer<unknown> {
  const found = Object.hasOwn(OPERATIONS, op) ? OPERATIONS[op] : undefined;
  if (!found)
    return invalidInput(
      'op',
      told(`there is no calculation "${op}"; there are ${Object.keys(OPERATIONS).join(', ')}`)
    );
  return found.run(raw);
}

const CalcRequest = z.object({ op: z.string(), input: z.unknown() });

/**
 * Answers one line of the calc command.
 *
 * @param text a JSON object `{"op", "input"}`
 * @returns the answer; a line that is not such JSON is `invalid-input`
 */
export function calcLine(text: string): Answer<unknown> {
  let parsed: unknown;
  try {
    parsed = JSON.parse(text);
  } catch {
    return invalidInput(
      '',
      told('this line is not JSON; {"op": "...", "input": {...}} is expected')
    );
  }
  const request = readInput(CalcRequest, parsed);
  return request.ok ? calc(request.value.op, request.value.input) : request;
}
