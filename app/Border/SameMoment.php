<?php

declare(strict_types=1);

namespace App\Border;

use Illuminate\Database\UniqueConstraintViolationException;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/**
 * Two people, or two clicks of one, made the same thing at the same moment: one did, the other is led back with all
 * that was typed.
 */
final class SameMoment
{
    private const SENTENCE = 'That was just made, by you or by somebody else. Look at what is there now, and try '
        .'again.';

    public function __invoke(
        UniqueConstraintViolationException $exception,
        Request $request,
    ): JsonResponse|RedirectResponse {
        return $request->expectsJson() || $request->hasHeader('HX-Request')
            ? new JsonResponse(['message' => self::SENTENCE], Response::HTTP_CONFLICT)
            : redirect()
                ->back()
                ->withInput($request->except('password', 'password_confirmation', 'picture'))
                ->with('notice', self::SENTENCE);
    }
}
