import { describe, expect, it } from 'vitest';
import { untried } from '../trial-setting/trial-stream.ts';
import { diesOf, gunOf, squeezerOf } from '../../../tests/support/tool-setups.ts';
import { secondsAt, toolOffer, type RememberedTool } from './remembered-tools.ts';
import type { ToolSetup } from './tool-setup.ts';
import type { FoundTool, MadeOne, ToolState } from './tool-moves.ts';

const made = (seconds: number | null): MadeOne => ({
  id: `${seconds}`,
  made: { what: 'head', diameterIn: 0.234, heightIn: 0.078, seconds },
  verdict: 'accept',
  good: true,
  gripIn: null,
  lot: '',
  at: '2031-05-02T08:00:00Z',
  by: 'Ilse'
});
const state = (found: FoundTool, heads = [made(null), made(null), made(null)]): ToolState => ({
  ...untried(),
  found: { ...found, at: '2031-05-02T07:00:00Z', by: 'Ilse' },
  looks: heads
});
const SQUEEZED: FoundTool = { tool: 'squeezer', divisions: 9, slopeIn: 0.007 };
const FIRED: FoundTool = { tool: 'gun', airPsi: 48, seconds: 2.5 };
const PRESSED: FoundTool = { tool: 'dies', divisions: 4 };
const had = (
  id: string,
  setup: ToolSetup,
  found: FoundTool,
  heads?: MadeOne[]
): RememberedTool => ({
  id,
  work: 'lap',
  setup,
  state: state(found, heads)
});
const offered = (setup: ToolSetup, ...remembered: RememberedTool[]) =>
  toolOffer(setup, remembered)?.from.id ?? null;

describe('where to begin, of what was found before', () => {
  it('is the latest of the same tool for the same rivet', () => {
    const one = had('one', squeezerOf(), SQUEEZED);
    const two = had('two', squeezerOf(), SQUEEZED);
    expect(offered(squeezerOf(), one, two)).toBe('one');
    expect(offered(squeezerOf())).toBeNull();
    expect(offered(squeezerOf({ name: 'hand squeezer' }), one)).toBeNull();
  });

  it.each([
    [{ dash: 4 as const }],
    [{ head: 'countersunk' as const }],
    [{ alloy: 'DD' as const }],
    [{ dimpled: true }],
    [{ turnIn: 0.05 }],
    [{ divisionsPerTurn: 12 }]
  ])('is no squeezer’s with another %j', (change) => {
    expect(offered(squeezerOf(), had('other', squeezerOf(change), SQUEEZED))).toBeNull();
    // and one behind it that fits is found
    expect(
      offered(
        squeezerOf(),
        had('other', squeezerOf(change), SQUEEZED),
        had('own', squeezerOf(), SQUEEZED)
      )
    ).toBe('own');
  });

  it('is opened for a longer rivet, by what it stands out more', () => {
    const offer = (lengthIn: number) =>
      toolOffer(squeezerOf({ lengthIn }), [had('one', squeezerOf(), SQUEEZED)]);
    expect(offer(0.375)).toMatchObject({ tool: 'squeezer', divisions: 9, openedBy: 0 });
    const longer = offer(0.40625);
    expect(longer?.tool === 'squeezer' && longer.openedBy).toBeGreaterThan(0);
    expect(longer?.tool === 'squeezer' && longer.divisions + longer.openedBy).toBe(9);
    expect(longer?.tool === 'squeezer' && longer.work.length).toBeGreaterThan(0);
  });

  it('of a gun is its air and the middle of what its heads took', () => {
    const heads = [made(2), made(3), made(2.2)];
    expect(toolOffer(gunOf(), [had('gun', gunOf(), FIRED, heads)])).toMatchObject({
      tool: 'gun',
      airPsi: 48,
      seconds: 2.2
    });
    expect(offered(gunOf(), had('gun', gunOf({ alloy: 'DD' }), FIRED))).toBeNull();
    const trial = { tool: 'gun' as const, airPsi: 48, seconds: 2.5 };
    expect(secondsAt(state(FIRED), trial)).toBe(2.5);
    expect(secondsAt(state(FIRED, [made(null), made(1.5)]), trial)).toBe(1.5);
  });

  it.each([[{ dash: 5 as const }], [{ sheetIn: 0.04 }], [{ material: '7075-T6' }]])(
    'of dies is for one sheet and size, not with another %j',
    (change) => {
      expect(toolOffer(diesOf(), [had('dies', diesOf(), PRESSED)])).toMatchObject({
        tool: 'dies',
        divisions: 4
      });
      expect(offered(diesOf(), had('dies', diesOf(change), PRESSED))).toBeNull();
    }
  );

  it('is of no tool of another sort, and of none that is not trusted', () => {
    const named = { name: 'one name' };
    expect(offered(squeezerOf(named), had('g', gunOf(named), FIRED))).toBeNull();
    expect(offered(gunOf(named), had('d', diesOf(named), PRESSED))).toBeNull();
    expect(offered(diesOf(named), had('s', squeezerOf(named), SQUEEZED))).toBeNull();
    expect(offered(squeezerOf(), had('new', squeezerOf(), SQUEEZED, [made(null)]))).toBeNull();
    const open = { ...had('open', squeezerOf(), SQUEEZED), state: untried() } as RememberedTool;
    expect(offered(squeezerOf(), open)).toBeNull();
  });
});
