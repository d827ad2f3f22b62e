<?php

declare(strict_types=1);

namespace Tests\Browser;

use PHPUnit\Framework\Assert;
use WebDriver\Chrome\ChromeDevToolsDriver;
use WebDriver\Chrome\ChromeOptions;
use WebDriver\Exception\Internal\WebDriverCurlException;
use WebDriver\Exception\WebDriverException;
use WebDriver\Remote\DesiredCapabilities;
use WebDriver\Remote\RemoteWebDriver;
use WebDriver\Remote\RemoteWebElement;
use WebDriver\WebDriverBy;

/** Headless Chromium, driven as a person would drive it. */
final class Browser
{
    private const PATIENCE = 20.0;

    /** @param  resource  $process */
    private function __construct(
        private $process,
        private readonly string $profile,
        public readonly RemoteWebDriver $driver,
    ) {
    }

    public static function open(): self
    {
        PlainNames::give();
        $port = \Ground\Port::near(18280);
        $profile = sys_get_temp_dir().'/parrot-browser-'.bin2hex(random_bytes(4));
        mkdir($profile);
        $process = proc_open(
            ['chromedriver', "--port=$port", '--allowed-ips=127.0.0.1'],
            [['file', '/dev/null', 'r'], ['file', "$profile/driver.log", 'w'], ['redirect', 1]],
            $pipes,
        );
        Assert::assertIsResource($process);
        $options = (new ChromeOptions)->addArguments([
            '--headless=new',
            '--no-sandbox',
            '--disable-dev-shm-usage',
            '--disable-gpu',
            '--window-size=1280,800',
            '--hide-scrollbars',
            '--force-device-scale-factor=1',
            '--no-first-run',
            '--disable-background-networking',
            '--disable-component-update',
            '--disable-sync',
            "--user-data-dir=$profile/data",
        ]);
        $options->setExperimentalOption('prefs', ['credentials_enable_service' => false]);
        $capabilities = DesiredCapabilities::chrome()->setCapability(ChromeOptions::CAPABILITY, $options);
        $capabilities->setCapability('goog:loggingPrefs', ['browser' => 'ALL']);
        for ($tries = 0; ; $tries++) {
            try {
                $self = new self(
                    $process,
                    $profile,
                    RemoteWebDriver::create("http://127.0.0.1:$port", $capabilities, 30_000, 60_000),
                );

                return $self->size(1280, 800);
            } catch (WebDriverException|WebDriverCurlException $exception) {
                // The driver takes a moment to listen.
                if ($tries === 100) {
                    throw $exception;
                }
                usleep(100_000);
            }
        }
    }

    /** As if it had just been opened: another tab, and nothing that a page has kept. */
    public function afresh(): self
    {
        $old = $this->driver->getWindowHandles();
        $origin = $this->driver->executeScript('return location.origin');
        $this->driver->switchTo()->newWindow();
        $new = $this->driver->getWindowHandle();
        // What would ask before it is left is closed without a question.
        foreach ($old as $tab) {
            $this->driver->switchTo()->window($tab);
            $this->driver->close();
        }
        $this->driver->switchTo()->window($new);
        $tools = new ChromeDevToolsDriver($this->driver);
        $this->forgetCookies();
        if (is_string($origin) && str_starts_with($origin, 'http')) {
            $tools->execute('Storage.clearDataForOrigin', ['origin' => $origin, 'storageTypes' => 'all']);
        }
        $this->complaints();

        return $this->size(1280, 800);
    }

    public function forgetCookies(): void
    {
        (new ChromeDevToolsDriver($this->driver))->execute('Network.clearBrowserCookies');
    }

    public function close(): void
    {
        $this->driver->quit();
        proc_terminate($this->process);
        proc_close($this->process);
        exec('rm -rf -- '.escapeshellarg($this->profile));
    }

    public function size(int $width, int $height): self
    {
        (new ChromeDevToolsDriver($this->driver))->execute('Emulation.setDeviceMetricsOverride', [
            'width' => $width,
            'height' => $height,
            'deviceScaleFactor' => 1,
            'mobile' => $width < 600,
        ]);

        return $this;
    }

    /** From here on, no page runs a script. */
    public function withoutScripts(): self
    {
        (new ChromeDevToolsDriver($this->driver))->execute('Emulation.setScriptExecutionDisabled', ['value' => true]);

        return $this;
    }

    public function go(string $url): self
    {
        $this->driver->get($url);

        return $this;
    }

    public function find(string $selector): RemoteWebElement
    {
        return $this->waitFor(
            fn (): ?RemoteWebElement => $this->driver->findElements(WebDriverBy::cssSelector($selector))[0] ?? null,
            "there is no $selector",
        );
    }

    /** @return list<RemoteWebElement> */
    public function all(string $selector): array
    {
        return array_values($this->driver->findElements(WebDriverBy::cssSelector($selector)));
    }

    public function click(string $selector): self
    {
        return $this->act(
            fn (): RemoteWebElement => $this->find($selector),
            static fn (RemoteWebElement $element) => $element->click(),
            $selector,
        );
    }

    public function press(string $button, string $within = 'body'): self
    {
        return $this->act(function () use ($button, $within): ?RemoteWebElement {
            foreach ($this->driver->findElements(WebDriverBy::cssSelector("$within button, $within a")) as $one) {
                if (trim($one->getText()) === $button && $one->isDisplayed()) {
                    return $one;
                }
            }

            return null;
        }, static fn (RemoteWebElement $element) => $element->click(), "“{$button}” in $within");
    }

    /** Types over what stands in a field or an editor. */
    public function write(string $selector, string $text): self
    {
        return $this->act(
            fn (): RemoteWebElement => $this->find($selector),
            static function (RemoteWebElement $element) use ($text): void {
                $element->click();
                $element->sendKeys(["\u{E009}", 'a', "\u{E000}"]);
                $element->sendKeys($text === '' ? "\u{E017}" : $text);
            },
            $selector,
        );
    }

    /** Types where the cursor is. */
    public function type(string $text): self
    {
        $this->driver->switchTo()->activeElement()->sendKeys($text);

        return $this;
    }

    /**
     * @param  callable(): ?RemoteWebElement  $find
     * @param  callable(RemoteWebElement): mixed  $do  tried again when the page exchanged the element meanwhile
     */
    private function act(callable $find, callable $do, string $what): self
    {
        $this->waitFor(function () use ($find, $do): bool {
            $element = $find();
            if ($element === null) {
                return false;
            }
            $this->driver->executeScript('arguments[0].scrollIntoView({block: "center"})', [$element]);
            if (! $this->isStill($element)) {
                return false;
            }
            $do($element);

            return true;
        }, "there is no $what");

        return $this;
    }

    /** Whoever sees something move waits with the press: an answer of the server may make room for what it says. */
    private function isStill(RemoteWebElement $element): bool
    {
        $place = fn (): mixed => $this->driver->executeScript(
            'const box = arguments[0].getBoundingClientRect(); return [box.top, box.left]',
            [$element],
        );
        $before = $place();
        usleep(20_000);

        return $before === $place();
    }

    public function text(string $selector): string
    {
        return $this->find($selector)->getText();
    }

    public function value(string $selector): string
    {
        return (string) $this->find($selector)->getDomProperty('value');
    }

    public function sees(string $text, string $within = 'body'): self
    {
        $this->waitFor(
            fn (): bool => str_contains($this->flat($within), $text),
            fn (): string => "“{$text}” is not to be seen in $within: ".$this->flat($within),
        );

        return $this;
    }

    public function doesNotSee(string $text, string $within = 'body'): self
    {
        $this->waitFor(
            fn (): bool => ! str_contains($this->flat($within), $text),
            "“{$text}” is still to be seen in $within",
        );

        return $this;
    }

    public function script(string $code): mixed
    {
        return $this->driver->executeScript($code);
    }

    /** @return list<string> what axe-core (npm) finds against WCAG 2.2 AA: "rule: selector" */
    public function barriers(): array
    {
        $this->driver->executeScript(
            (string) file_get_contents(dirname(__DIR__, 2).'/node_modules/axe-core/axe.min.js'),
        );
        /** @var list<string> $found */
        $found = $this->driver->executeAsyncScript(<<<'JS'
            const done = arguments[arguments.length - 1];
            axe.run(document, { runOnly: ['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa'] })
                .then((result) => done(result.violations.flatMap((one) => one.nodes.map(
                    (node) => `${one.id}: ${node.target.join(' ')} ${node.failureSummary}`))));
            JS);

        return $found;
    }

    /**
     * @return list<string> errors in the console, refused loads among them; not that a preview was busy, which asks
     *     again by itself
     */
    public function complaints(): array
    {
        $complaints = [];
        foreach ($this->driver->manage()->getLog('browser') as $entry) {
            $message =
                is_array($entry) && ($entry['level'] ?? '') === 'SEVERE' ? (string) ($entry['message'] ?? '') : '';
            if ($message !== '' && preg_match('~/(preview|try) - .*status of 429 ~', $message) !== 1) {
                $complaints[] = $message;
            }
        }

        return $complaints;
    }

    public function shot(string $file): void
    {
        $this->driver->executeScript('document.getAnimations().forEach((one) => one.finish())');
        $this->driver->takeScreenshot($file);
    }

    /**
     * @template T
     *
     * @param  callable(): T  $ask
     * @param  string|callable(): string  $complaint
     * @return T
     */
    public function waitFor(
        callable $ask,
        string|callable $complaint = 'it did not happen',
        float $seconds = self::PATIENCE,
    ): mixed {
        $until = microtime(true) + $seconds;
        $last = null;
        do {
            try {
                $answer = $ask();
                if ($answer) {
                    return $answer;
                }
            } catch (WebDriverException $exception) {
                // An element that was exchanged while we looked: look again.
                $last = $exception;
            }
            usleep(40_000);
        } while (microtime(true) < $until);

        Assert::fail(
            (is_string($complaint) ? $complaint : $complaint())
                .($last === null ? '' : ' ('.strtok($last->getMessage(), "\n").')'),
        );
    }

    private function flat(string $within): string
    {
        $element = $this->driver->findElements(WebDriverBy::cssSelector($within))[0] ?? null;

        return $element === null ? '' : (preg_replace('/\s+/u', ' ', $element->getText()) ?? '');
    }
}
