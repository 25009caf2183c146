import { expect, it } from 'vitest';
import { tooMuch } from './body-limit';

const sent = (path: string, headers: Record<string, string>, method = 'POST') =>
  tooMuch(method, path, new Headers(headers))?.status ?? null;

it('takes 256 kB for a calculation and 16 kB at the door, and no more', () => {
  expect(sent('/api/calc/rivet-length', { 'content-length': '256000' })).toBeNull();
  expect(sent('/api/calc/rivet-length', { 'content-length': '256001' })).toBe(413);
  expect(sent('/who', { 'content-length': '16000' })).toBeNull();
  expect(sent('/who', { 'content-length': '16001' })).toBe(413);
  expect(sent('/who/code', { 'content-length': '5000000' })).toBe(413);
  expect(tooMuch('POST', '/who', new Headers({ 'content-length': '20001' }))?.message).toBe(
    'at most 16 kB is taken here; 21 kB was sent'
  );
});

it('asks for the length where none is told, and of nothing where nothing is sent', () => {
  expect(sent('/api/calc/removal', { 'transfer-encoding': 'chunked' })).toBe(411);
  expect(sent('/api/calc/removal', {})).toBeNull();
  expect(sent('/api/calc/removal', { 'content-length': 'much' })).toBe(413);
  expect(sent('/who', { 'content-length': '99999' }, 'GET')).toBeNull();
  // those who signed in have the adapter's limit
  expect(sent('/api/joints/1', { 'content-length': '5000000' })).toBeNull();
});

it('takes 64 kB of fields without a file, wherever they are sent', () => {
  const fields = { 'content-type': 'application/x-www-form-urlencoded; charset=utf-8' };
  expect(sent('/jobs/1', { ...fields, 'content-length': '64000' })).toBeNull();
  expect(sent('/jobs/1', { ...fields, 'content-length': '64001' })).toBe(413);
  expect(
    sent('/jobs/1', {
      'content-type': 'multipart/form-data; boundary=x',
      'content-length': '900000'
    })
  ).toBeNull();
});
