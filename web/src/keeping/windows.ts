import { v4 } from 'uuid';

/** Windows of this browser that have the program open: each keeps what it has not sent under a name of its own. */
const NAME = 'rough-gear:window';
/** A window that is there answers within so long, ms. */
const ANSWERS_WITHIN = 150;

interface Message {
  readonly asks?: string;
  readonly is?: string;
}

const channel = typeof BroadcastChannel === 'undefined' ? undefined : new BroadcastChannel('rough-gear:windows');
let own = '';

channel?.addEventListener('message', ({ data }: MessageEvent<Message>) => {
  if (data.asks !== undefined && data.asks === own) channel.postMessage({ is: own } satisfies Message);
});

/** Whether a window of this name is open beside this one. */
export function isOpen(name: string): Promise<boolean> {
  if (!channel || name === '') return Promise.resolve(false);
  return new Promise((resolve) => {
    const answer = ({ data }: MessageEvent<Message>) => {
      if (data.is === name) done(true);
    };
    const done = (there: boolean) => {
      clearTimeout(timer);
      channel.removeEventListener('message', answer);
      resolve(there);
    };
    const timer = setTimeout(() => done(false), ANSWERS_WITHIN);
    channel.addEventListener('message', answer);
    channel.postMessage({ asks: name } satisfies Message);
  });
}

async function find(): Promise<string> {
  const before = sessionStorage.getItem(NAME) ?? '';
  // A window that was copied begins with the name of the one it was copied from.
  own = before !== '' && !(await isOpen(before)) ? before : v4();
  sessionStorage.setItem(NAME, own);
  return own;
}

let found: Promise<string> | undefined;
/** What this window is called: the same after it is loaded again, another one in each window. */
export const windowName = (): Promise<string> => (found ??= find());
