import { expect, it } from 'vitest';
import { countRequest, mayReadMetrics, metrics } from './metrics';

it('counts requests by route and status, and nothing that names anybody', async () => {
  countRequest('GET', '/joints/[joint=id]', 200, 0.03);
  countRequest('BREW', null, 404, 0.001);
  const text = await metrics.metrics();
  expect(text).toContain(
    'zanjador_request_seconds_count{method="GET",route="/joints/[joint=id]",status="200"} 1'
  );
  expect(text).toContain(
    'zanjador_request_seconds_bucket{le="0.02",method="GET",route="/joints/[joint=id]",status="200"} 0'
  );
  expect(text).toContain('method="other",route="none",status="404"');
  expect(text).toContain('nodejs_eventloop_lag_seconds');
});

it('shows them to whoever knows the word, and to nobody where there is none', () => {
  expect(mayReadMetrics('Bearer open-sesame-9', 'open-sesame-9')).toBe(true);
  expect(mayReadMetrics('Bearer open-sesame-8', 'open-sesame-9')).toBe(false);
  expect(mayReadMetrics(null, 'open-sesame-9')).toBe(false);
  expect(mayReadMetrics('Bearer ', '')).toBe(false);
  expect(mayReadMetrics('Bearer undefined', undefined)).toBe(false);
});
