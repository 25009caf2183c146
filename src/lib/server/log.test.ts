import { describe, expect, it } from 'vitest';
import { loggedError } from './log';

describe('an error in the log', () => {
  it('says what and where, and nothing of what was being written', () => {
    const error = Object.assign(new Error(`duplicate key ${'x'.repeat(5_000_000)}`), {
      code: '23505',
      constraint: 'people_by_login',
      sql: `insert into people values ('Maro Lind')`,
      parameters: ['Maro Lind']
    });
    const logged = JSON.stringify(loggedError(error));
    expect(logged.length).toBeLessThan(5000);
    expect(logged).toContain('people_by_login');
    expect(logged).toContain('log.test.ts');
    expect(logged).not.toContain('Maro Lind');
  });

  it('is one line also where something else was thrown', () => {
    expect(loggedError('broken')).toEqual({ type: 'string' });
  });
});
