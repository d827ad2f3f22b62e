// npm's irc-framework as a client that knows nothing of us: signs in by SASL, joins, hears a line, says one; prints “in” once it has heard itself, and at the end what it saw.
// node irc-client.cjs PORT NICK ACCOUNT SECRET CHANNEL
const { Client } = require('irc-framework');

const [port, nick, account, secret, channel] = process.argv.slice(2);
const seen = { capabilities: [], events: [] };
const end = () => { process.stdout.write(JSON.stringify(seen)); process.exit(0); };
const client = new Client();
client.requestCap(['message-tags', 'server-time', 'account-tag', 'echo-message']);
client.on('registered', () => { seen.capabilities = client.network.cap.enabled; client.join(channel); });
client.on('loggedin', (event) => seen.events.push(['signed in', event.account]));
client.on('sasl failed', (event) => { seen.events.push(['not signed in', event.reason]); end(); });
client.on('userlist', (event) => { seen.events.push(['people', event.users.length > 0]); client.say(channel, 'ahoy from elsewhere'); });
client.on('message', (event) => {
    seen.events.push([event.nick, event.message, event.tags, event.time > 0]);
    const heard = seen.events.filter((one) => one.length === 4).length;
    if (heard === 1) {
        process.stdout.write('in\n');
    }
    if (heard === 2) {
        end();
    }
});
client.connect({ host: '127.0.0.1', port: Number(port), nick, username: nick, gecos: nick, auto_reconnect: false, account: secret === '' ? undefined : { account, password: secret } });
setTimeout(end, 30000);
