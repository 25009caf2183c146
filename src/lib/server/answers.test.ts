import { describe, expect, it } from 'vitest';
import { z } from 'zod';
import { answer, invalidInput, notPossible } from '../../core/answer';
import { told } from '../../core/refusal-said';
import { inInches, inStyle } from '../words/writing';
import { readBody, respond, respondCalc, sayWhoFirst } from './answers';
import { because, done, refused } from './outcome';

const posted = (body: string) => new Request('http://127.0.0.1/x', { method: 'POST', body });

describe('answers over HTTP', () => {
  it.each([
    [done({ n: 1 }), 200],
    [refused('not-found', 'gone'), 404],
    [refused('stale', 'older'), 409],
    [refused('conflict', 'taken'), 409],
    [refused('not-possible', 'too close'), 422]
  ])('turn an outcome into its status', async (outcome, status) => {
    const response = respond(outcome, inInches);
    expect(response.status).toBe(status);
    const body = (await response.json()) as { n?: number; message?: string };
    expect(outcome.ok ? body.n : body.message).toBe(outcome.ok ? 1 : outcome.message);
  });

  it('write lengths in the unit of whoever asks', async () => {
    const short = refused(
      'not-possible',
      because({ said: { code: 'line-too-short', spanIn: -0.5 } })
    );
    const message = async (style: 'mm' | 'thou') =>
      ((await respond(short, inStyle(style)).json()) as { message: string }).message;
    expect(await message('mm')).toMatch(/^-12\.7 mm is left/);
    expect(await message('thou')).toMatch(/^-500 thou is left/);
  });

  it('tell bad input from a rule that says no', () => {
    expect(respondCalc(answer({ gapIn: 1 }, [])).status).toBe(200);
    expect(respondCalc(invalidInput('dash', told('no such size'))).status).toBe(400);
    expect(respondCalc(notPossible('edgeIn', told('too short'))).status).toBe(422);
  });

  it('ask who is there before keeping a record', async () => {
    expect(sayWhoFirst().status).toBe(401);
    expect(await sayWhoFirst().json()).toMatchObject({ reason: 'who' });
  });
});

describe('reading a body', () => {
  const Body = z.strictObject({ hole: z.int().min(1) });

  it('takes what the schema takes', async () => {
    expect(await readBody(posted('{"hole":3}'), Body, inInches)).toEqual({
      ok: true,
      value: { hole: 3 }
    });
  });

  it.each([
    ['{"hole":0}', 'at least 1 is expected; 0 was given'],
    ['{"hole":1,"x":2}', '"x" is not an input here'],
    ['not json', 'a JSON body is expected'],
    ['', 'a JSON body is expected']
  ])('refuses %s with the reason', async (text, message) => {
    const read = await readBody(posted(text), Body, inInches);
    if (read.ok) throw new Error('it was taken');
    expect(read.response.status).toBe(400);
    expect(await read.response.json()).toMatchObject({ message });
  });
});
