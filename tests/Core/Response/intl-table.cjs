// The table that the printer is held against: what Node's Intl (its ICU and CLDR versions stand in it) makes of numbers, plurals,
// places in a row, lists, days and distances in time. node intl-table.cjs > intl-table.json
const locales = ['en', 'de', 'fr', 'es', 'it', 'pt', 'nl', 'sv', 'da', 'fi', 'pl', 'cs', 'sk', 'uk', 'ru', 'hr', 'ro', 'hu', 'el', 'tr', 'lt', 'lv', 'ja', 'ko', 'zh', 'he', 'id', 'vi', 'en-GB', 'fr-CA', 'es-MX', 'de-CH', 'pt-PT', 'zh-Hant-HK'];
const numbers = [0, 1, 2, 3, 5, 11, 21, 22, 101, 999, 1234, 12345, 1234567];
const units = ['second', 'minute', 'hour', 'day', 'month', 'year'];
const table = { node: process.version, icu: process.versions.icu, cldr: process.versions.cldr, rows: [] };
for (const locale of locales) {
    const row = (kind, input, text) => table.rows.push([locale, kind, input, text]);
    const grouped = new Intl.NumberFormat(locale);
    const plural = new Intl.PluralRules(locale);
    for (const number of numbers) {
        row('grouped', String(number), grouped.format(number));
        row('plural', String(number), plural.select(number));
    }
    row('grouped', '1234.5', grouped.format(1234.5));
    row('plural', '1.5', plural.select(1.5));
    for (const items of [['a'], ['a', 'b'], ['a', 'b', 'c'], ['a', 'b', 'c', 'd']]) {
        row('list', items.join(' '), new Intl.ListFormat(locale, { type: 'conjunction' }).format(items));
    }
    const relative = new Intl.RelativeTimeFormat(locale, { numeric: 'always' });
    for (const unit of units) {
        for (const count of [1, 2, 5, 9]) {
            row('ago', `${count} ${unit}`, relative.format(-count, unit));
            row('in', `${count} ${unit}`, relative.format(count, unit));
        }
    }
    row('day', '2026-11-25', new Intl.DateTimeFormat(locale, { dateStyle: 'medium', timeZone: 'UTC' }).format(new Date('2026-11-25T09:00:00Z')));
    row('short', '12345', new Intl.NumberFormat(locale, { notation: 'compact' }).format(12345));
}
process.stdout.write(`{"node":"${table.node}","icu":"${table.icu}","cldr":"${table.cldr}","rows":[\n${table.rows.map((row) => JSON.stringify(row)).join(',\n')}\n]}\n`);
