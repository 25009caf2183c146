import { once } from 'node:events';
import { createServer, type IncomingMessage } from 'node:http';
import { connect, type AddressInfo } from 'node:net';
import { ConnectionAcquireTimeoutError, ConnectionRefusedError, DatabaseError } from 'sequelize';
import { describe, expect, it } from 'vitest';
import { hasLeft, isAway } from './away';
import { Unanswered, within } from './within';

const coded = (code: string) => Object.assign(new Error('x'), { code });

describe('a database that does not answer', () => {
  it.each([
    new ConnectionRefusedError(coded('ECONNREFUSED')),
    new ConnectionAcquireTimeoutError(new Error('no connection in time')),
    coded('57P01'),
    coded('53300'),
    coded('08006'),
    new DatabaseError(coded('57P03') as never),
    new Error('Query read timeout'),
    new Error('Connection terminated unexpectedly'),
    // asked by somebody who has gone, of a process that ends
    new Error(
      'ConnectionManager.getConnection was called after the connection manager was closed!'
    ),
    new Error('outer', { cause: coded('ECONNRESET') }),
    new Unanswered('no answer within 9 ms')
  ])('%s', (error) => expect(isAway(error)).toBe(true));

  it.each([
    coded('23505'),
    coded('40P01'),
    new DatabaseError(coded('42601') as never),
    new TypeError('x'),
    'x',
    null
  ])('%s was asked wrongly, or is no error of a database', (error) =>
    expect(isAway(error)).toBe(false)
  );
});

it('is not what is told when whoever asked goes in the middle of asking', async () => {
  const server = createServer((request) => {
    request.resume();
  }).listen(0, '127.0.0.1');
  await once(server, 'listening');
  const { port } = server.address() as AddressInfo;
  const asking = connect(port, '127.0.0.1');
  asking.write('POST / HTTP/1.1\r\nhost: here\r\ncontent-length: 500\r\n\r\n{"id":');
  const [request] = (await once(server, 'request')) as [IncomingMessage];
  const failed = once(request, 'error');
  asking.destroy();
  const [error] = await failed;
  server.close();
  expect([hasLeft(error), isAway(error)]).toEqual([true, false]);
  expect(hasLeft(coded('ECONNRESET'))).toBe(false);
});

it('is waited for so long and no longer', async () => {
  const never = new Promise<never>(() => undefined);
  await expect(within(5, never)).rejects.toBeInstanceOf(Unanswered);
  expect(await within(5000, Promise.resolve(7))).toBe(7);
  await expect(within(5000, Promise.reject(coded('23505')))).rejects.toThrow('x');
});
