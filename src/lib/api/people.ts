import { z } from 'zod';
import { Role } from '../../core/people/rights.ts';
import { ILL_FORMED, isWellFormed } from '../../core/schema/well-formed.ts';

const line = (what: string, least: number, most: number) =>
  z
    .string(`${what} is needed`)
    .trim()
    .min(least, least === 1 ? `${what} is needed` : `${what} has at least ${least} characters`)
    .max(most, `${what} has at most ${most} characters`)
    .refine(isWellFormed, { message: ILL_FORMED });

export const Name = line('a name', 1, 80);
export const Login = line('a login', 3, 40).regex(
  /^[\p{L}\p{N}._-]+$/u,
  'Login: letters, digits, dots and dashes only'
);
/** As it is typed, spaces and all: length is what counts. */
export const Password = z
  .string('a password is needed')
  .min(12, 'Password: at least 12 characters')
  .max(200, 'a password has at most 200 characters');
/** Three tries cost nothing: what everyone tries first is no PIN. */
const isGuessed = (pin: string): boolean => {
  const figures = [...pin].map(Number);
  const steps = figures.slice(1).map((figure, at) => figure - (figures[at] ?? 0));
  return new Set(figures).size < 3 || new Set(steps).size < 2;
};
/** Empty: none. */
const PinOrNone = z
  .string('a PIN is needed')
  .refine((pin) => pin === '' || /^\d{6,10}$/.test(pin), 'PIN: 6 to 10 digits')
  .refine(
    (pin) => pin === '' || !isGuessed(pin),
    'PIN: at least three different digits, no sequence such as 123456'
  );
/** What is only compared is of any shape, within reason. */
const secret = z.string().max(200, 'that is too long');

export const SignInForm = z.object({ login: z.string().trim().max(80), password: secret });
export const PinForm = z.object({ person: z.uuid('choose one of the names'), pin: secret });
export const CodeForm = z.object({
  login: Login,
  code: z.string().max(60, 'that is no code'),
  password: Password,
  /** of the first lead, whom nobody entered before */
  name: Name.optional()
});
export const NewPerson = z.object({ name: Name, login: Login, role: Role });
export const NewPassword = z.object({ old: secret, password: Password });
export const OwnPin = z.object({
  password: secret,
  pin: PinOrNone
});
export const OfPerson = z.object({ person: z.uuid('Select a person') });
export const RoleOf = OfPerson.extend({ role: Role });
export const Presence = OfPerson.extend({ active: z.enum(['yes', 'no']) });
export const NewBench = z.object({ name: line('Enter a device name', 1, 60) });
/** A log that is ahead, and why a lead sets it right. */
export const SetRight = z.object({
  log: z.string().max(20),
  subject: z.uuid('choose a log'),
  why: line('a reason', 3, 200)
});
export const OfBench = z.object({ bench: z.uuid('choose a bench') });
