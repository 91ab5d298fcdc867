import { isIP } from 'node:net';

/** How the program is reached, as the environment says it. */
export interface Network {
  readonly host: string;
  readonly port: number;
  readonly publicUrl: string | undefined;
  readonly tls: { readonly cert: string; readonly key: string } | undefined;
  /** How many proxies stand in front, or which they are; what others say of who asks is not believed. */
  readonly trustProxy: false | number | string[];
}

type Environment = Readonly<Record<string, string | undefined>>;

/** Something in the environment that people can put right, in one sentence. */
export class NetworkProblem extends Error {}

const loopback = /^(localhost|127(\.\d+){3}|\[?::1\]?)$/;

/** Whether only this machine can reach a host. */
export const isLoopback = (host: string): boolean => loopback.test(host);

const portOf = (text = '4780'): number => {
  const port = /^\d{1,5}$/.test(text) ? Number(text) : Number.NaN;
  if (port >= 0 && port <= 65_535) return port;
  throw new NetworkProblem(`PORT=${text} is not a port. Give a number from 1 to 65535.`);
};

const urlOf = (text: string | undefined): URL | undefined => {
  if (!text) return undefined;
  const url = URL.canParse(text) ? new URL(text) : undefined;
  if (url && /^https?:$/.test(url.protocol) && url.pathname === '/' && !url.search) return url;
  throw new NetworkProblem(
    `PUBLIC_URL=${text} is not an address to open. Give scheme, name and port, like https://yard.example:4780`,
  );
};

const tlsOf = ({ TLS_CERT: cert, TLS_KEY: key }: Environment): Network['tls'] => {
  if (!cert && !key) return undefined;
  if (cert && key) return { cert, key };
  const [there, missing] = cert ? ['TLS_CERT', 'TLS_KEY'] : ['TLS_KEY', 'TLS_CERT'];
  throw new NetworkProblem(
    `${there} is set, ${missing} is not. Give both, each the path of a PEM file.`,
  );
};

const addressOf = /^([0-9a-f.:]+)(?:\/(\d{1,3}))?$/i;
const isProxy = (text: string): boolean => {
  if (text === 'loopback') return true;
  const [, ip = '', bits = '0'] = addressOf.exec(text) ?? [];
  return isIP(ip) > 0 && Number(bits) <= (isIP(ip) === 4 ? 32 : 128);
};

/** Proxies are counted from here, or named: a header that a stranger writes has more entries than there are proxies. */
const proxiesOf = (text: string | undefined): Network['trustProxy'] => {
  if (!text || text === '0' || text === 'false') return false;
  if (/^[1-9]$/.test(text)) return Number(text);
  const named = text.split(',').map((one) => one.trim());
  if (named.every(isProxy)) return named;
  throw new NetworkProblem(
    `TRUST_PROXY=${text} says no proxy. Give how many stand in front, like 1, or their addresses, like 10.0.0.5,10.0.1.0/24`,
  );
};

/** Whether anybody but this machine could open it. */
export const isOpenToOthers = ({ host, publicUrl }: Network): boolean =>
  !isLoopback(host) || (publicUrl !== undefined && !isLoopback(new URL(publicUrl).hostname));

/** Off loopback phones need https: for the service worker, the camera and keeping awake. */
const insistOnHttps = (network: Network): void => {
  const { host, tls, trustProxy, publicUrl } = network;
  if (!isOpenToOthers(network)) return;
  if (!publicUrl) {
    throw new NetworkProblem(
      `HOST=${host} opens the yard to the network, so it must know the address people open. Set PUBLIC_URL too, like https://yard.example:4780 (docs/operating.md, “On the yard’s network”).`,
    );
  }
  if (!publicUrl.startsWith('https:')) {
    throw new NetworkProblem(
      `PUBLIC_URL=${publicUrl} is not https. On a network browsers want https: set TLS_CERT and TLS_KEY, or put a proxy that speaks https in front and set TRUST_PROXY=1.`,
    );
  }
  if (!tls && !trustProxy) {
    throw new NetworkProblem(
      `PUBLIC_URL=${publicUrl} is https, but nothing here speaks it. Set TLS_CERT and TLS_KEY, or put a proxy that speaks https in front and set TRUST_PROXY=1.`,
    );
  }
};

/**
 * How the program is to be reached: HOST, PORT, PUBLIC_URL, TLS_CERT and TLS_KEY, TRUST_PROXY.
 * @throws NetworkProblem with one sentence that names the variable and says what to do
 */
export const networkFrom = (environment: Environment): Network => {
  const network = {
    host: environment['HOST'] || '127.0.0.1',
    port: portOf(environment['PORT'] || undefined),
    publicUrl: urlOf(environment['PUBLIC_URL'])?.origin,
    tls: tlsOf(environment),
    trustProxy: proxiesOf(environment['TRUST_PROXY']),
  };
  insistOnHttps(network);
  return network;
};
