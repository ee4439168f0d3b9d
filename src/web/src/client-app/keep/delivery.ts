import type { Answer, Server } from './server';
import type { Keep, Waiting } from './store';

interface Ways {
  /** What was refused before stays where it is. */
  skipRefused?: boolean;
  /** The server has taken one. */
  taken?: (item: Waiting, value: unknown) => void;
}

/** Stop signs before anything; sessions before the notes on them: a note on a session that the server does not have is none. */
const inOrder = (waiting: Waiting[]): Waiting[] => [
  ...waiting.filter((w) => w.kind === 'stop-sign'),
  ...waiting.filter((w) => w.kind === 'session'),
  ...waiting.filter((w) => w.kind === 'note'),
];

const send = (server: Server, item: Waiting): Promise<Answer<unknown>> =>
  item.kind === 'session'
    ? server.keep(item.session)
    : item.kind === 'note'
      ? server.say(item.note)
      : server.tap(item.tapped);

/**
 * Delivers what waits under a link. What the server will never take stays, with its words. Gives the answer that ended the delivery; null
 * when everything was tried.
 */
export async function deliver(
  store: Pick<Keep, 'waiting' | 'wait' | 'answered'>,
  server: Server,
  { skipRefused = false, taken }: Ways = {},
): Promise<Answer<unknown> | null> {
  for (const item of inOrder(await store.waiting())) {
    if (item.refused && skipRefused) continue;
    const answer = await send(server, item);
    if (answer.kind === 'refused') await store.wait({ ...item, refused: answer.why });
    else if (answer.kind !== 'done') return answer;
    else {
      await store.answered(item);
      taken?.(item, answer.value);
    }
  }

  return null;
}
