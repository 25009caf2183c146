import { describe, expect, it } from 'vitest';
import { Undo } from './undo.svelte';

describe('undo', () => {
  it('takes quick typing in one field back in one step', () => {
    const line = new Undo<string>();
    line.remember('', 'width', 0);
    line.remember('1', 'width', 100);
    line.remember('11', 'width', 200);
    expect(line.undo('11 1/2')).toBe('');
    expect(line.canUndo).toBe(false);
  });

  it('keeps fields and pauses apart', () => {
    const line = new Undo<string>();
    line.remember('a', 'width', 0);
    line.remember('b', 'edge', 100);
    line.remember('c', 'edge', 5000);
    expect(line.undo('d')).toBe('c');
    expect(line.undo('c')).toBe('b');
    expect(line.undo('b')).toBe('a');
    expect(line.undo('a')).toBeNull();
  });

  it('takes one drag back in one step, however slow, and two drags in two', () => {
    const line = new Undo<string>();
    line.remember('a', 'end', 0, 1);
    line.remember('b', 'end', 5000, 1);
    line.remember('c', 'end', 5100, 2);
    expect(line.undo('d')).toBe('c');
    expect(line.undo('c')).toBe('a');
    expect(line.canUndo).toBe(false);
  });

  it('redoes until something new is typed', () => {
    const line = new Undo<string>();
    line.remember('a', 'x', 0);
    expect(line.undo('b')).toBe('a');
    expect(line.redo('a')).toBe('b');
    expect(line.undo('b')).toBe('a');
    line.remember('a', 'y', 10);
    expect(line.redo('c')).toBeNull();
  });
});
