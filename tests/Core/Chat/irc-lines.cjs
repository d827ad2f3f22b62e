// The line parser of npm's irc-framework as an oracle: a JSON list of lines comes in, what it makes of them goes out.
const parse = require('irc-framework/src/irclineparser');

const lines = JSON.parse(require('fs').readFileSync(0, 'utf8'));
process.stdout.write(JSON.stringify(lines.map((line) => {
    const { command, params, prefix, tags } = parse(line);
    return { command, params, prefix, tags: Object.entries(tags) };
})));
