import { expose } from 'comlink';
import { readDxf } from '$lib/exchange/dxf/read-dxf.ts';
import { readHolesCsv } from '$lib/exchange/read-holes-csv.ts';

const reader = { readDxf, readHolesCsv };
export type Reader = typeof reader;

expose(reader);
