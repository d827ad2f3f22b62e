<?php

declare(strict_types=1);

namespace App\Border;

use Closure;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/**
 * The border of the web: what comes in is UTF-8, without NUL, of bounded depth and number, and a list only where a list
 * is meant. Anything else is answered with 400 before anybody else has seen it.
 */
final class WellFormed
{
    /** Fields that may be lists; all others are one text. */
    private const LISTS = [
        'responses',
        'phrases',
        'gates',
        'refusals',
        'silent',
        'leave',
        'texts',
        'triggers',
        'columns',
        'units',
        'changes',
        'chosen',
        'levels',
        'record',
        'parameters',
        'readings',
        'headers',
        'keep',
        'other',
        'habits',
        'phases',
        'happenings',
    ];

    /** Lists inside each other: responses[0][text]. */
    private const DEEPEST = 3;

    /** Texts of one request together. */
    private const MOST = 5_000;

    /** Bytes of what a browser says of itself; it is kept with the session. */
    private const LONGEST_AGENT = 250;

    /** @param  Closure(Request): Response  $next */
    public function handle(Request $request, Closure $next): Response
    {
        if (! self::isPlain(rawurldecode($request->getPathInfo()), 1) || ! $this->isReadable($request)) {
            abort(Response::HTTP_BAD_REQUEST);
        }
        // A browser says this of itself by itself; whoever sends what is none is not turned away for it.
        foreach (['User-Agent' => self::LONGEST_AGENT, 'Referer' => 2_000] as $header => $most) {
            $value = (string) $request->headers->get($header, '');
            $request->headers->set($header, preg_replace('/[^\x20-\x7E]/', '?', substr($value, 0, $most)) ?? '');
        }

        return $next($request);
    }

    private function isReadable(Request $request): bool
    {
        if (
            $request->isJson()
            && $request->getContent() !== ''
            && ! is_array(json_decode($request->getContent(), true, self::DEEPEST + 1))
        ) {
            return false;
        }
        $texts = 0;
        foreach (
            [$request->query->all(), $request->isJson() ? $request->json()->all() : $request->request->all()] as $fields
        ) {
            foreach ($fields as $name => $value) {
                $isList = in_array($name, self::LISTS, true);
                if (
                    ! self::isPlain((string) $name, 1)
                    || (is_array($value) && ! $isList)
                    || ! self::isPlain($value, self::DEEPEST, $texts)
                ) {
                    return false;
                }
            }
        }

        return true;
    }

    private static function isPlain(mixed $value, int $depth, int &$texts = 0): bool
    {
        if (++$texts > self::MOST) {
            return false;
        }
        if (! is_array($value)) {
            return ! is_string($value) || (mb_check_encoding($value, 'UTF-8') && ! str_contains($value, "\0"));
        }
        foreach ($depth === 0 ? [null] : $value as $name => $one) {
            if ($depth === 0 || ! self::isPlain($name, 1, $texts) || ! self::isPlain($one, $depth - 1, $texts)) {
                return false;
            }
        }

        return true;
    }
}
