import { invalidInput } from '$core/answer.ts';
import { calc } from '$core/calc.ts';
import { illFormed } from '$core/schema/well-formed.ts';
import { told } from '$core/refusal-said.ts';
import { respondCalc } from '$lib/server/answers';
import { chargeFor } from '$lib/server/limits';
import type { RequestHandler } from './$types';

export const POST: RequestHandler = async ({ params, request, getClientAddress }) => {
  let input: unknown;
  try {
    input = await request.json();
  } catch {
    return respondCalc(invalidInput('', told('the body is not JSON')));
  }
  const unread = illFormed(input);
  if (unread) return respondCalc(invalidInput(unread.path, unread.said));
  const from = performance.now();
  const answer = calc(params.op, input);
  await chargeFor(getClientAddress(), performance.now() - from);
  return respondCalc(answer);
};
