<?php

declare(strict_types=1);

namespace Tests\Bench;

use Closure;
use SilverParrot\Chance\KeyedChance;
use SilverParrot\Chat\ChatProfile;
use SilverParrot\Chat\Levels;
use SilverParrot\Chat\Person;
use SilverParrot\Hearing\Trace\Trace;
use SilverParrot\Lookup\CannedReadings;
use SilverParrot\Lookup\Request;
use SilverParrot\Memory\CompleteView;
use SilverParrot\Memory\Key;
use SilverParrot\Pack\Counter;
use SilverParrot\Pack\Pack;
use SilverParrot\Response\Evaluation\EvaluationContext;
use SilverParrot\Response\Evaluation\Invocation;
use SilverParrot\Response\Evaluation\PendingReads;
use SilverParrot\Response\RenderedResponse;
use SilverParrot\Response\Response;
use SilverParrot\Value\Moment;
use SilverParrot\World;
use Twig\Environment;
use Twig\Extension\SandboxExtension;
use Twig\Loader\ArrayLoader;
use Twig\Sandbox\SecurityPolicy;
use Twig\TemplateWrapper;
use Twig\TwigFunction;

/**
 * One response, said in several ways: by us, by a closure written by hand, by a template engine. Luck is the same for
 * all. All are given the same people and details, and print what they are called; a value that is not there is an error
 * for the engine too, as a gap is for us.
 */
final readonly class Ahoy
{
    /** About 120 characters, four names, one `or`, one draw of five, one filter. */
    public const SOURCE = 'Ahoy [target or "shore crew"]! [caller] saved you [either "a seat", "a mug", "a bun", "a '
        .'rope", "a plank"] by [channel.category | lower], [trigger].';

    public const DIVIDED = 'That is [counter.planks / 3] planks a day, [caller], and [counter.planks % 3] left over '
        .'while we are busy with [channel.category].';

    private const TEMPLATE = 'Ahoy {{ target.name ?? "shore crew" }}! {{ caller.name }} saved you {{ draw(["a seat", '
        .'"a mug", "a bun", "a rope", "a plank"]) }} by {{ channel.category|lower }}, {{ trigger }}.';

    private World $world;

    private Invocation $scene;

    private Person $tamsin;

    private string $drawn;

    private Request $category;

    public function __construct()
    {
        $pack = new Pack(Pack::blank()->channel, counters: ['planks' => new Counter('planks')]);
        $this->world = new World(
            $pack,
            new CompleteView([Key::counter('planks')->id() => 43]),
            new CannedReadings(['channel.category' => 'Planking']),
            new Moment(0),
            new KeyedChance('1', 'e'),
            ChatProfile::stream(),
        );
        $this->category = Request::channel('category');
        $this->tamsin = Person::known('1', 'tamsin', 'Tamsin', Levels::of());
        $this->scene = Invocation::of($this->tamsin, '', '!ahoy', '!ahoy');
        $this->drawn = '!ahoy/0@'.(strpos(self::SOURCE, 'either ') ?: 0);
    }

    /** @return Closure(): string */
    public function ours(string $source = self::SOURCE, bool $traced = false): Closure
    {
        $response = Response::of($source);

        return $traced
            ? function () use ($response): string {
                $said = $response->say(
                    new EvaluationContext($this->world, $this->scene, '!ahoy/0', new PendingReads, new Trace),
                );

                return $said instanceof RenderedResponse ? $said->text : '';
            } : function () use ($response): string {
                $said = $response->say(new EvaluationContext($this->world, $this->scene, '!ahoy/0', new PendingReads));

                return $said instanceof RenderedResponse ? $said->text : '';
            };
    }

    /** @return Closure(): string */
    public function byHand(): Closure
    {
        return function (): string {
            $values = $this->values();
            $gifts = ['a seat', 'a mug', 'a bun', 'a rope', 'a plank'];

            return 'Ahoy '
                .($values['target']->name ?? 'shore crew')
                .'! '
                .$values['caller']->name
                .' saved you '
                .$gifts[$this->world->chance->at($this->drawn)->getInt(0, 4)]
                .' by '
                .mb_strtolower($values['channel']['category'])
                .', '
                .$values['trigger']
                .'.';
        };
    }

    /** @return Closure(): string with the same exact division, in the library that both use */
    public function dividedByHand(): Closure
    {
        return function (): string {
            $values = $this->values();
            $planks = $this->world->memory->value(Key::counter('planks'));
            assert(is_int($planks));
            $share = \Brick\Math\BigRational::nd($planks, 3)->toScale(6, \Brick\Math\RoundingMode::HALF_UP);

            return 'That is '
                .rtrim(rtrim((string) $share, '0'), '.')
                .' planks a day, '
                .$values['caller']->name
                .', and '
                .$planks % 3
                .' left over while we are busy with '
                .$values['channel']['category']
                .'.';
        };
    }

    /** @return Closure(): string */
    public function twig(bool $inSandbox): Closure
    {
        $template = $this->template($inSandbox);

        return fn (): string => $template->render($this->values());
    }

    public function environment(): Environment
    {
        $twig = new Environment(new ArrayLoader(['ahoy' => self::TEMPLATE]), [
            'autoescape' => false,
            'strict_variables' => true,
        ]);
        $twig->addFunction(
            new TwigFunction(
                'draw',
                fn (array $of): string => $of[$this->world->chance->at($this->drawn)->getInt(0, count($of) - 1)],
            ),
        );

        return $twig;
    }

    private function template(bool $inSandbox): TemplateWrapper
    {
        $twig = $this->environment();
        if ($inSandbox) {
            $twig->addExtension(
                new SandboxExtension(
                    new SecurityPolicy([], ['lower'], [], [Person::class => ['name']], ['draw']),
                    true,
                ),
            );
        }

        return $twig->load('ahoy');
    }

    /**
     * @return array{target: Person|null, caller: Person, channel: array{category: string}, trigger: string} people and
     *     details, as ours has them; nobody was named
     */
    private function values(): array
    {
        $category = $this->world->readings->read($this->category);

        return [
            'target' => null,
            'caller' => $this->tamsin,
            'channel' => ['category' => is_string($category) ? $category : ''],
            'trigger' => $this->scene->trigger,
        ];
    }
}
