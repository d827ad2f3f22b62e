<?php

declare(strict_types=1);

// Makes decimals-table.json: sums of random decimals and what bcmath (PHP's extension) makes of them, rounded to six
// decimals half away from zero as a slot prints them. php -d extension=bcmath tests/Core/Value/decimals-table.php

mt_srand(20261126);
$decimal = static function (): string {
    $whole = (string) mt_rand(0, 10 ** mt_rand(1, 9));
    $decimals = mt_rand(0, 3) === 0 ? '' : '.'.str_pad((string) mt_rand(0, 999_999), 6, '0', STR_PAD_LEFT);

    return (mt_rand(0, 3) === 0 ? '-' : '').$whole.rtrim(rtrim($decimals, '0'), '.');
};
$printed = static function (string $exact): string {
    $half = str_starts_with($exact, '-') ? '-0.0000005' : '0.0000005';
    $rounded = bcadd($exact, $half, 6);
    $rounded = str_contains($rounded, '.') ? rtrim(rtrim($rounded, '0'), '.') : $rounded;

    return in_array($rounded, ['-0', ''], true) ? '0' : $rounded;
};
$rows = [];
for ($i = 0; $i < 4_000; $i++) {
    [$a, $b] = [$decimal(), $decimal()];
    $operation = '+-*/'[$i % 4];
    if ($operation === '/' && bccomp($b, '0', 6) === 0) {
        continue;
    }
    $rows[] = [$a, $operation, $b, $printed(match ($operation) {
        '+' => bcadd($a, $b, 40),
        '-' => bcsub($a, $b, 40),
        '*' => bcmul($a, $b, 40),
        '/' => bcdiv($a, $b, 40),
    })];
}
file_put_contents(
    __DIR__.'/decimals-table.json',
    json_encode(['source' => 'PHP '.PHP_VERSION.', bcmath', 'rows' => $rows], JSON_THROW_ON_ERROR)."\n",
);
