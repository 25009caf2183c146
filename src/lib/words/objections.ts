import type { ObjectionAnswer } from '../../core/driving/drive-events.ts';
import type { Objection } from '../../core/driving/objections.ts';

export const OBJECTION_ANSWERS: Record<ObjectionAnswer['answer'], string> = {
  done: 'done, not recorded',
  'not-needed': 'not needed',
  reason: 'reason'
};

/** What is not met, in one line. */
export function objectionInWords(said: Objection): string {
  switch (said.code) {
    case 'steps':
      return `${said.of - said.done} of ${said.of} prep steps not completed`;
    case 'no-way':
      return `no way to drive ${said.part} with the shop’s tools`;
    case 'setting':
      return said.tool === null
        ? `no tool setup for ${said.part}`
        : `${said.tool} not yet qualified for ${said.part}`;
  }
}

/** The same by its key, as it stands on record. */
export function objectionNamed(key: string): string {
  const [code] = key.split(' ', 1);
  const part = key.slice((code?.length ?? 0) + 1);
  return code === 'steps'
    ? 'prep steps not completed'
    : code === 'no-way'
      ? `no way to drive ${part}`
      : `tool setup for ${part} not qualified`;
}
