// The host of each address, as the URL standard has it; null for what is none.
const addresses = JSON.parse(require('fs').readFileSync(0, 'utf8'));
process.stdout.write(JSON.stringify(addresses.map((one) => { try { return new URL(one).hostname.replace(/\.$/, ''); } catch { return null; } })));
