import createClient from 'openapi-fetch';
import { expect, it } from 'vitest';
import { sentOnce } from './sentOnce';

interface Paths {
  '/made': {
    post: { requestBody: { content: { 'application/json': object } }; responses: object };
  };
}

/** A server that answers as told and remembers by which names it was asked. */
function talks(...answers: (number | 'lost')[]) {
  const names: string[] = [];
  const client = createClient<Paths>({
    baseUrl: 'http://tank.test',
    fetch: (request) => {
      names.push(request.headers.get('Idempotency-Key') ?? '');
      const answer = answers.shift() ?? 201;
      return answer === 'lost'
        ? Promise.reject(new TypeError('lost'))
        : Promise.resolve(new Response('{}', { status: answer }));
    },
  });
  client.use(sentOnce());
  const send = (body: object) => client.POST('/made', { body }).catch(() => undefined);
  return { names, send };
}

it('bears the same name until it is answered', async () => {
  const { names, send } = talks('lost', 503, 201, 201);
  for (let i = 0; i < 4; i++) await send({ ml: 40 });
  expect(names[0]).toMatch(/^[0-9a-f-]{36}$/);
  expect(names[1]).toBe(names[0]);
  expect(names[2]).toBe(names[0]);
  expect(names[3]).not.toBe(names[0]);
});

it('has another name for another request, and after a refusal', async () => {
  const { names, send } = talks(422, 201, 201);
  await send({ ml: 40 });
  await send({ ml: 41 });
  await send({ ml: 40 });
  expect(new Set(names).size).toBe(3);
});

it('gives two presses at once one name', async () => {
  const { names, send } = talks();
  await Promise.all([send({ ml: 40 }), send({ ml: 40 })]);
  expect(names[1]).toBe(names[0]);
});
