import { error } from '@sveltejs/kit';
import { recheckStatus } from '$core/prepare/cage/rechecks.ts';
import { cageStream, isNestTried, isPractice } from '$core/prepare/cage/setting.ts';
import { getSetting } from '$lib/server/services/cages';
import { pdfTapeLabel } from '$lib/server/files/pdf-tape-label';
import { ONLY_HERE, shopAddress } from '$lib/server/shop-address';
import { settingAddress } from '$lib/setups-address';
import { recheckInWords } from '$lib/words/cages';
import { TapeWish } from '$lib/tape-label.ts';
import type { RequestHandler } from './$types';

const day = new Intl.DateTimeFormat('en', { year: 'numeric', month: 'short', day: 'numeric' });

/** A cage's setting for its tape; none for one that is not set, withdrawn, or cut at the simulated bench. */
export const GET: RequestHandler = async ({ params, url, locals }) => {
  const tape = TapeWish.safeParse(url.searchParams.get('tape') ?? undefined);
  if (!tape.success) error(400, tape.error.issues[0]?.message ?? 'no such tape');
  const address = shopAddress(url.origin);
  if (address === null) error(422, `No label: ${ONLY_HERE}.`);
  const setting = await getSetting(locals.database(), params.setting);
  if (!setting.ok || setting.value.cageId !== params.cage) error(404, 'There is no such setting.');
  const { setup, events, cage, holesCut } = setting.value;
  const state = cageStream.project(setup, events);
  const { found, withdrawn } = state;
  if (!found) error(422, 'Not set up yet: no label.');
  if (withdrawn) error(422, 'Setting withdrawn: remove the tape from the tool.');
  if (isPractice(state)) error(422, 'Simulated setting: not valid for the real tool.');
  if (!isNestTried(state))
    error(
      422,
      'Nested setting calculated, not tested. Press a dimpled coupon into the cut and record the fit first.'
    );
  const status = recheckStatus(setup, state, holesCut ?? 0);
  if (status.state === 'too-deep' || status.state === 'proud')
    error(422, `${recheckInWords(status)} Set it up again before printing a label.`);
  const file = await pdfTapeLabel(
    {
      name: cage.name,
      settings: [`flush ${found.clicks}`, ...(found.nest ? [`nested ${found.nest.clicks}`] : [])],
      lines: [
        `dash ${setup.dash}, ${day.format(new Date(found.at))}`,
        `${found.by}; scan to re-check`
      ],
      address: new URL(settingAddress(params.cage, params.setting), address).href
    },
    tape.data
  );
  return new Response(new Uint8Array(file), {
    headers: {
      'content-type': 'application/pdf',
      'content-disposition': 'attachment; filename="tape-label.pdf"',
      'cache-control': 'no-store'
    }
  });
};
