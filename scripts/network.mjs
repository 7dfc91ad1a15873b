/**
 * What the network door needs: HTTPS for tablets in the studio, with a certificate of its own. The
 * server marks what comes through it; who may ask for what is decided behind it.
 */
import { randomBytes, X509Certificate } from 'node:crypto';
import { chmodSync, existsSync, mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import os from 'node:os';
import path from 'node:path';

const days = 825;

/** Addresses of this machine on its networks. */
export function listAddresses() {
  return Object.values(os.networkInterfaces())
    .flat()
    .filter(({ family, internal }) => family === 'IPv4' && !internal)
    .map(({ address }) => address);
}

/** Names under which the door answers. */
const listNames = () => [...new Set(['localhost', '127.0.0.1', os.hostname(), ...listAddresses()])];

/** A certificate of one's own, made at first use and again when an address or the time runs out. */
async function ensureCertificate(folder) {
  mkdirSync(folder, { recursive: true, mode: 0o700 });
  const [certFile, keyFile] = ['network-cert.pem', 'network-key.pem'].map((name) =>
    path.join(folder, name),
  );
  if (existsSync(certFile) && existsSync(keyFile)) {
    const cert = readFileSync(certFile, 'utf8');
    const read = new X509Certificate(cert);
    const covers = listNames().every((name) => read.checkHost(name) ?? read.checkIP(name));
    if (covers && new Date(read.validTo) > new Date()) {
      return { cert, key: readFileSync(keyFile, 'utf8'), print: read.fingerprint256 };
    }
  }
  const { generate } = await import('selfsigned');
  const altNames = listNames().map((name) =>
    /^[\d.]+$/.test(name) ? { type: 7, ip: name } : { type: 2, value: name },
  );
  const notAfterDate = new Date(Date.now() + days * 86_400_000);
  const made = await generate([{ name: 'commonName', value: 'Levitar in this studio' }], {
    keyType: 'ec',
    curve: 'P-256',
    algorithm: 'sha256',
    notAfterDate,
    extensions: [
      { name: 'basicConstraints', cA: false },
      { name: 'subjectAltName', altNames },
    ],
  });
  writeFileSync(certFile, made.cert, { mode: 0o600 });
  writeFileSync(keyFile, made.private, { mode: 0o600 });
  chmodSync(keyFile, 0o600);
  const print = new X509Certificate(made.cert).fingerprint256;
  return { cert: made.cert, key: made.private, print };
}

/** What the server has to know of its network door: the mark, the address, the certificate. */
export async function prepareDoor({ folder, port, host = '0.0.0.0' }) {
  const certificate = await ensureCertificate(folder);
  const secret = randomBytes(24).toString('hex');
  const addresses = host === '0.0.0.0' ? listAddresses() : [host];
  const urls = (addresses.length > 0 ? addresses : ['127.0.0.1']).map(
    (address) => `https://${address}:${port}`,
  );
  return {
    urls,
    env: {
      LEVITAR_DOOR_MARK: secret,
      LEVITAR_NETWORK_URL: urls.join(','),
      LEVITAR_CERT_PRINT: certificate.print,
    },
    door: {
      certificate: { cert: certificate.cert, key: certificate.key },
      secret,
      port,
      host,
      names: listNames().map((name) => name.toLowerCase()),
    },
  };
}
