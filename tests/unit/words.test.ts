import { describe, expect, it } from 'vitest';
import { textsOf } from '../support/texts.ts';

/** Words that were given up for plainer ones; what stands for them now is in the term base. */
const RETIRED: readonly (readonly [word: RegExp, instead: string])[] = [
  [/\banew\b/i, 'again, new'],
  [/\btold\b/i, 'entered, specified, recorded'],
  [/\bone gets\b/i, 'access'],
  [/(?<!of )\ban inch\b/i, 'per inch'],
  [/\ba rivet\)/i, 'per rivet'],
  [/\blook(s|ed|ing)? (at|again)\b/i, 'inspect, inspected, check'],
  [/\bproud(er)?\b/i, 'high'],
  [/\breckon(s|ed|ing)?\b/i, 'calculate'],
  [/\blet go\b/i, 'delete, discard'],
  [/\bschools?\b/i, 'practice'],
  [/\bmend(s|ed|ing)?\b/i, 'fix'],
  [/\btowards\b/i, 'toward'],
  [/\b(whoever|somebody|nobody)\b/i, 'you, a person, no one'],
  [/(?<!data )\bholders?\b/i, 'temporary fastener'],
  [/\bcages?\b/i, 'stop countersink'],
  [/\b(struck|strike)\b/i, 'void'],
  [/\bwished\b/i, 'target'],
  [/\bdrive more\b/i, 'drive further'],
  [/\bverdicts?\b/i, 'result'],
  [/\bbill of rivets\b/i, 'rivet list'],
  [/\bremote bar\b/i, 'wedge bar'],
  [/\b(recognise|neighbour\w*|colour\w*|centre\w*)\b/i, 'American spelling'],
  [/\b(upstands?|cut-outs?|undrilled)\b/i, 'obstruction, cutout'],
  [/\btaken over\b/i, 'carried forward'],
  [/\bby eye\b/i, 'visual']
];

/** Stored values, keys of files and addresses: they stay what they were. */
const STORED = /^[a-z]+([-_.][a-z]+)*$|^\/|^[a-z]+=/;

describe('the words on pages, in messages and in files', () => {
  const texts = textsOf(['src']).filter(({ text }) => !STORED.test(text));

  it('are found at all: labels, messages, attributes', () => {
    const found = texts.map(({ text }) => text);
    expect(found.length).toBeGreaterThan(2000);
    expect(found).toContain('Skip to content');
    expect(found).toContain('Sign in first');
  });

  it.each(RETIRED)('no longer say %s', (word, instead) => {
    const saying = texts.filter(({ text }) => word.test(text));
    expect(saying.map(({ file, text }) => `${file}: ${text.slice(0, 90)} (${instead})`)).toEqual(
      []
    );
  });
});
