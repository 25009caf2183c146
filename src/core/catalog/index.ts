export * from './drills.ts';
export * from './families.ts';
export * from './head-limits.ts';
export * from './rivets.ts';
export * from './strengths.ts';
