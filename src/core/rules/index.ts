export * from './flushness.ts';
export * from './multipliers.ts';
export * from './profile.ts';
