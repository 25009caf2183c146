import { invalidInput } from '$core/answer.ts';
import { calc } from '$core/calc.ts';
import { respondCalc } from '$lib/server/answers';
import type { RequestHandler } from './$types';

export const POST: RequestHandler = async ({ params, request }) => {
  let input: unknown;
  try {
    input = await request.json();
  } catch {
    return respondCalc(invalidInput('', 'the body is not JSON'));
  }
  return respondCalc(calc(params.op, input));
};
