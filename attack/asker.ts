/** An answer as it came. */
export interface Answer {
  readonly status: number;
  readonly type: string;
  readonly text: string;
  /** The text as JSON, where it is any. */
  readonly body: unknown;
}

/** Somebody at a browser of their own. */
export interface Ask {
  (method: string, path: string, body?: unknown): Promise<Answer>;
  readonly raw: (method: string, path: string, content?: Sent) => Promise<Answer>;
  readonly signIn: (email: string, password: string) => Promise<void>;
}

/** What is sent as it is. */
export interface Sent {
  readonly type: string;
  readonly content: string | Uint8Array;
}

const asJson = (text: string): unknown => {
  try {
    return JSON.parse(text);
  } catch {
    return undefined;
  }
};

/** More than this of an answer is not looked at; a stream is left at its first words. */
const textOf = async (answer: Response): Promise<string> => {
  const isStream = answer.headers.get('content-type')?.startsWith('text/event-stream');
  if (!isStream) return answer.text();
  await answer.body?.cancel();
  return '';
};

/** Asks as whoever signs in. */
export const asker = (address: string): Ask => {
  let cookie = '';
  const raw = async (method: string, path: string, sent?: Sent): Promise<Answer> => {
    const answer = await fetch(`${address}${path}`, {
      method,
      headers: {
        origin: address,
        ...(cookie ? { cookie } : {}),
        ...(sent ? { 'content-type': sent.type } : {}),
      },
      ...(sent ? { body: sent.content as BodyInit } : {}),
    });
    const text = await textOf(answer);
    const type = answer.headers.get('content-type') ?? '';
    return { status: answer.status, type, text, body: asJson(text) };
  };
  const ask = (method: string, path: string, body?: unknown) =>
    raw(
      method,
      path,
      body === undefined ? undefined : { type: 'application/json', content: JSON.stringify(body) },
    );
  const signIn = async (email: string, password: string): Promise<void> => {
    const answer = await fetch(`${address}/api/session`, {
      method: 'POST',
      headers: { 'content-type': 'application/json', origin: address },
      body: JSON.stringify({ email, password }),
    });
    if (!answer.ok) throw new Error(`${email} cannot sign in: ${await answer.text()}`);
    cookie = answer.headers
      .getSetCookie()
      .map((one) => one.split(';')[0])
      .join('; ');
  };
  return Object.assign(ask, { raw, signIn });
};
