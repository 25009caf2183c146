export * from './differences.ts';
export * from './issue.ts';
export * from './lap.ts';
export * from './read-entered.ts';
