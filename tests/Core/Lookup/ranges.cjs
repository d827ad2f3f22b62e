// Names the range of each address of a list, by npm ipaddr.js.
const ipaddr = require('ipaddr.js');
const addresses = JSON.parse(require('fs').readFileSync(0, 'utf8'));
console.log(JSON.stringify(addresses.map((address) => ipaddr.parse(address).range())));
