export * from './factors.ts';
export * from './format-length.ts';
export * from './parse-length.ts';
export * from './ranges.ts';
export * from './ruler.ts';
export * from './tolerance.ts';
export * from './understood.ts';
