// `npm run certificate -- 192.168.1.20 [yard.example …]`: a certificate of one's own for a yard's
// network, where no authority gives one. Browsers ask once whether to trust it.
import { mkdirSync, writeFileSync } from 'node:fs';
import { isIP } from 'node:net';
import { join, resolve } from 'node:path';
import { generate } from 'selfsigned';
import { dataFolder } from './lib/postgres.mjs';
import { root } from './lib/setup.mjs';
import { Failure, sentenceFor } from './lib/steps.mjs';

const years = 2;
const namePattern = /^(?=.{1,253}$)[a-z0-9-]+(\.[a-z0-9-]+)*$/i;

/** @param {string} name */
const altName = (name) =>
  isIP(name)
    ? { type: /** @type {const} */ (7), ip: name }
    : { type: /** @type {const} */ (2), value: name };

const main = async () => {
  const names = process.argv.slice(2);
  const strange = names.find((name) => !isIP(name) && !namePattern.test(name));
  if (names.length === 0 || strange) {
    throw new Failure(
      `${strange ? `“${strange}” is no name or address. ` : ''}Say under which names or addresses the yard is opened: npm run certificate -- 192.168.1.20`,
    );
  }
  const notAfterDate = new Date();
  notAfterDate.setFullYear(notAfterDate.getFullYear() + years);
  const pem = await generate([{ name: 'commonName', value: names[0] ?? '' }], {
    keySize: 2048,
    notAfterDate,
    extensions: [{ name: 'subjectAltName', altNames: names.map(altName) }],
  });
  const base = resolve(process.env['FAIR_GABLE_DATA'] ?? dataFolder(root));
  const folder = join(base, 'tls');
  // Only the certificate's own folder is closed: the database's account passes through the other.
  mkdirSync(base, { recursive: true });
  mkdirSync(folder, { recursive: true, mode: 0o700 });
  const [cert, key] = [join(folder, 'cert.pem'), join(folder, 'key.pem')];
  writeFileSync(cert, pem.cert);
  writeFileSync(key, pem.private, { mode: 0o600 });
  process.stdout.write(
    `Made for ${names.join(', ')}, good for ${years} years. Start with:\n\n` +
      `HOST=0.0.0.0 PUBLIC_URL=https://${names[0]}:4780 TLS_CERT=${cert} TLS_KEY=${key} npm start\n`,
  );
};

main().catch((error) => {
  process.stderr.write(`\n${sentenceFor(error)}\n`);
  process.exit(1);
});
