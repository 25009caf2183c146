import { pino } from 'pino';

/** One line of JSON an event, on standard error, so that answers on standard output stay clean. */
export const log = pino({ level: process.env['LOG_LEVEL'] ?? 'warn' }, pino.destination(2));
