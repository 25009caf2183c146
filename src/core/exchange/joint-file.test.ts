import { describe, expect, it } from 'vitest';
import { entered } from '../../../tests/support/joints';
import { JOINT_KINDS, newJoint } from '../kinds/new-joint';
import { DEFAULT_PROFILE } from '../rules/profile';
import { jointFile, readJointFile } from './joint-file';
import { fileRefusalInWords, inInches } from '../../../tests/support/words';

const messageOf = (text: string) => {
  const read = readJointFile(text);
  return read.ok ? 'read' : fileRefusalInWords(read, inInches);
};

describe('a joint as a file', () => {
  it.each(JOINT_KINDS)('comes back as it went: %s', (kind) => {
    const file = jointFile('Bay 3', newJoint(kind), DEFAULT_PROFILE);
    expect(readJointFile(JSON.stringify(file))).toEqual({ ok: true, file });
  });

  it('keeps what was typed, slipped decimals too', () => {
    const slipped = entered('lap', ['0.32', '.040'], { widthIn: '5 1/' });
    const read = readJointFile(JSON.stringify(jointFile('x', slipped, DEFAULT_PROFILE)));
    expect(read.ok && read.file.definition).toEqual(slipped);
  });

  it('refuses what is no joint file, in a sentence', () => {
    expect(messageOf('')).toMatch(/not JSON/);
    expect(messageOf('{"format":"zanjador-joint"')).toMatch(/not JSON/);
    expect(messageOf('[]')).not.toBe('read');
    expect(messageOf('{"format":"other","version":1}')).toMatch(/not a joint file of this program/);
    const file = jointFile('x', newJoint('lap'), DEFAULT_PROFILE);
    expect(messageOf(JSON.stringify({ ...file, version: 99 }))).toMatch(
      /version that is not known/
    );
    expect(
      messageOf(JSON.stringify({ ...file, definition: { ...file.definition, kind: 'barrel' } }))
    ).toMatch(/definition/);
    expect(
      messageOf(JSON.stringify({ ...file, definition: { ...file.definition, sheets: [] } }))
    ).toMatch(/at least two sheets/);
    expect(messageOf(JSON.stringify({ ...file, extra: 1 }))).toMatch(/extra/);
    expect(messageOf(`"${'x'.repeat(5 * 1024 * 1024)}"`)).toMatch(/over 5 MB/);
  });

  it('does not let a file reach behind the fields', () => {
    const hostile = `{"format":"zanjador-joint","version":1,"title":"x","definition":${JSON.stringify(newJoint('lap')).replace('{', '{"__proto__":{"polluted":true},')}}`;
    const read = readJointFile(hostile);
    expect(({} as { polluted?: boolean }).polluted).toBeUndefined();
    expect(
      read.ok ? (read.file.definition as { polluted?: boolean }).polluted : undefined
    ).toBeUndefined();
  });
});
