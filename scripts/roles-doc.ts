/** docs/roles.md, made from the program's one table of rights and its list of doors. */
import { may, RIGHTS, ROLES, type Right } from '../src/core/people/rights.ts';
import { ACCESS_POLICY, STREAM_ASKS } from '../src/lib/server/people/access-policy.ts';
import { RIGHT_WORDS } from '../src/lib/words/roles.ts';

const line = (...cells: string[]): string => `| ${cells.join(' | ')} |`;

export function rolesDoc(): string {
  const rights = Object.keys(RIGHTS) as Right[];
  const doors = Object.entries(ACCESS_POLICY).flatMap(([route, methods]) =>
    Object.entries(methods).map(([method, asks]) => ({ route, method, asks }))
  );
  return [
    '# Who may do what',
    '',
    'Written by `./zanjador docs` from `src/core/people/rights.ts` and `src/lib/server/people/access-policy.ts`. The server enforces it at every route;',
    'a test requests every route for every role and without signing in.',
    '',
    line('right', ...ROLES),
    line('---', ...ROLES.map(() => ':-:')),
    ...rights.map((right) =>
      line(RIGHT_WORDS[right], ...ROLES.map((role) => (may(role, right) ? 'yes' : '')))
    ),
    '',
    'Whether a person who drove rivets may sign is a shop rule (Rules, signing), in addition to these rights.',
    '',
    '## Access per route',
    '',
    line('door', 'asks for'),
    line('---', '---'),
    ...doors.map(({ route, method, asks }) =>
      line(
        `\`${method} ${route}\``,
        asks === 'by-stream'
          ? Object.entries(STREAM_ASKS)
              .map(([stream, right]) => `${stream}: ${right}`)
              .join(', ')
          : asks
      )
    ),
    ''
  ].join('\n');
}
