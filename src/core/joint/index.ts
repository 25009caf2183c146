export * from './differences.ts';
export * from './issue.ts';
export * from './kinds.ts';
export * from './new-joint.ts';
export * from './read-entered.ts';
