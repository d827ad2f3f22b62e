<?php

declare(strict_types=1);

namespace App\Remember\Lookups;

use App\Web\RecordedAnswers;
use Illuminate\Http\Request;
use SilverParrot\Lookup\Answer;
use SilverParrot\Lookup\CannedAnswer;
use SilverParrot\Lookup\Paths\AnswerFormat;
use SilverParrot\Lookup\Trouble;
use SilverParrot\Value\Moment;

/** A canned result as its author writes it. */
final readonly class CannedForm
{
    private const NAME = 60;

    private const TYPES = [
        'json' => 'application/json', 'xml' => 'application/xml', 'html' => 'text/html', 'text' => 'text/plain',
    ];

    /** @param  string  $problem  why it cannot be kept, with the mend; empty where it can */
    private function __construct(public CannedAnswer $canned, public string $problem)
    {
    }

    /** @param  CannedAnswer  $was  the one that it is like, and for the same as */
    public static function read(Request $request, CannedAnswer $was, AnswerFormat $format): self
    {
        $name = trim($request->string('canned_name')->value());
        $status = $request->string('canned_status')->value();
        $body = $request->string('canned_body')->value();
        $trouble = Trouble::tryFrom($request->string('canned_how')->value());
        $before = $was->answer instanceof Answer ? $was->answer : null;
        $answer = new Answer(
            preg_match('/^[1-5]\d\d$/D', $status) === 1 ? (int) $status : 200,
            $before->headers ?? ['content-type' => self::TYPES[$format->value]],
            $body,
            $before->at ?? Moment::of(now()),
        );

        return new self(
            new CannedAnswer(
                $was->for,
                in_array($trouble, Trouble::onDemand(), true) ? $trouble : $answer,
                mb_substr($name, 0, self::NAME),
            ),
            match (true) {
                $name === '' => 'Give it a name.',
                mb_strlen($name) > self::NAME,
                preg_match('/\p{C}/u', $name) === 1 => 'Give it a shorter, plain name.',
                $status !== '' && preg_match('/^[1-5]\d\d$/D', $status) !== 1 => 'A status is between 100 and 599.',
                strlen($body) > RecordedAnswers::LARGEST => 'That is too long: 65,536 bytes at most. Shorten it.',
                default => '',
            },
        );
    }
}
