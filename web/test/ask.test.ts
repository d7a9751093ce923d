// Every call ends as data, a refusal in words, or nobody there.
import { describe, expect, it } from 'vitest';
import { ask, gone, read, refusal, words } from '../src/api/ask';

const answered = (status: number, said: { data?: unknown; error?: unknown }) =>
  ask(Promise.resolve({ ...said, response: new Response(null, { status }) }));
const problem = { type: 'about:blank', title: '', status: 422, detail: 'That cannot be.' };

describe('a call', () => {
  it('ends as data', async () => {
    const answer = await answered(200, { data: { id: 1 } });

    expect(answer).toMatchObject({ kind: 'data', data: { id: 1 } });
    expect(words(answer)).toBe('');
  });

  it('ends as a refusal, with its faults beside the fields', async () => {
    const faults = [{ field: 'button.width', given: 'wide', allowed: 'Write a length.' }];
    const answer = await answered(422, { error: { ...problem, faults } });

    expect(refusal(answer)).toEqual({ faults: { 'button.width': 'Write a length.' }, failed: '' });
    expect(refusal(await answered(409, { error: problem }))).toEqual({
      faults: {},
      failed: 'That cannot be.',
    });
    expect(words(await answered(500, {}))).toBe('The server gave an answer that makes no sense.');
  });

  it('ends as nobody there: no connection, or no database behind the server', async () => {
    expect(await ask(Promise.reject(new TypeError('fetch failed')))).toEqual({ kind: 'away' });
    expect(await answered(503, { error: problem })).toEqual({ kind: 'away' });
    expect(refusal({ kind: 'away' }).failed).toContain('What you typed stays here.');
  });

  it('throws for a query, which can tell what is gone from who is away', async () => {
    const missing = read(Promise.resolve({ error: problem, response: new Response(null, { status: 404 }) }));
    await expect(missing).rejects.toSatisfy(gone);
    const away = read(Promise.reject(new TypeError('fetch failed')));
    await expect(away).rejects.not.toSatisfy(gone);
  });
});
