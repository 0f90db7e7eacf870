import { networkInterfaces } from 'node:os';
import { toString } from 'qrcode';
import { Key } from './key';

/** Prints, for each address of this machine in its network, the link that lets a phone in; the first also as a code to be scanned. */
const [file, port] = process.argv.slice(2);
if (!file || !port) throw new Error('show-link FILE PORT');
const { text } = Key.inFile(file);
const addresses = Object.values(networkInterfaces())
  .flatMap((each) => each ?? [])
  .filter(({ family, internal }) => family === 'IPv4' && !internal)
  .map(({ address }) => `http://${address}:${port}/enter?key=${text}`);
for (const [i, link] of addresses.entries()) {
  console.log(`  ${link}`);
  if (i === 0) console.log(await toString(link, { type: 'utf8', margin: 2 }));
}
if (addresses.length === 0) console.log('  This machine has no address in a network.');
