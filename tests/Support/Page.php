<?php

declare(strict_types=1);

namespace UpperPane\Tests\Support;

use Facebook\WebDriver\Exception\StaleElementReferenceException;
use Facebook\WebDriver\Exception\WebDriverException;
use Facebook\WebDriver\Interactions\WebDriverActions;
use Facebook\WebDriver\Remote\DriverCommand;
use Facebook\WebDriver\Remote\RemoteExecuteMethod;
use Facebook\WebDriver\Remote\RemoteWebDriver;
use Facebook\WebDriver\Remote\RemoteWebElement;
use Facebook\WebDriver\WebDriverBy;
use Facebook\WebDriver\WebDriverKeys;

/**
 * The app as a person has it before them: what is seen, clicked, dragged and typed. Everything waits for a condition,
 * never for a time.
 */
final class Page
{
    private const PATIENCE_S = 60;

    public function __construct(public readonly RemoteWebDriver $browser, private readonly string $address)
    {
    }

    public function open(string $path): self
    {
        $this->browser->get($this->address.$path);

        return $this;
    }

    public function signIn(string $who = 'dina', string $password = 'harrowmere'): self
    {
        $this->open('/sign-in');
        $this->type('#email', "$who@harrowmere.example")->type('#password', $password);
        $this->press('Sign in');
        $this->see('Elevation', 'h1');
        // As somebody leaves them who needs them all.
        $this->script('for (const one of ["place", "place-more", "fill", "look", "time", "entry-look", "entry-time"]) localStorage.setItem(`bench:section:${one}`, "open")');

        return $this;
    }

    /** Waits until something matches and holds the text. */
    public function see(string $text, string $css = 'body'): RemoteWebElement
    {
        return $this->until("“{$text}” in $css", fn () => $this->firstWith($css, $text));
    }

    public function gone(string $css): void
    {
        $this->until("no $css", fn () => $this->all($css) === [] ? true : null);
    }

    public function find(string $css): RemoteWebElement
    {
        return $this->until($css, fn () => $this->all($css)[0] ?? null);
    }

    /** @return list<RemoteWebElement> that are shown */
    public function all(string $css): array
    {
        return array_values(
            array_filter(
                $this->browser->findElements(WebDriverBy::cssSelector($css)),
                static fn (RemoteWebElement $element) => $element->isDisplayed(),
            ),
        );
    }

    /** Clicks a button, link or tab by its words or its label. */
    public function press(string $name, string $within = 'body'): self
    {
        $script = <<<'JS'
        const [root, name] = arguments
        const words = (e) => (e.getAttribute('aria-label') || e.innerText || '').trim()
        const near = [...document.querySelectorAll(root + ' button, ' + root + ' a, ' + root + ' [role=tab], ' + root + ' label')].filter((e) => e.getClientRects().length && !e.disabled)
        return near.find((e) => words(e) === name) || near.find((e) => words(e).startsWith(name)) || null
        JS;
        $this->until("button “{$name}”", function () use ($script, $within, $name) {
            $found = $this->element($script, $within, $name);
            $found?->click();

            return $found;
        });

        return $this;
    }

    public function click(string $css): self
    {
        $this->until("click $css", function () use ($css) {
            $element = $this->all($css)[0] ?? null;
            $element?->click();

            return $element === null ? null : true;
        });

        return $this;
    }

    /** Replaces what a field holds. */
    public function type(string $css, string $text, string $end = ''): self
    {
        $field = $this->find($css);
        $field->click();
        $field->sendKeys(WebDriverKeys::CONTROL.'a');
        $field->sendKeys($text.$end);

        return $this;
    }

    public function typeIn(string $label, string $text, string $end = WebDriverKeys::TAB): self
    {
        $field = $this->field($label);
        $field->click();
        $field->sendKeys(WebDriverKeys::CONTROL.'a');
        $field->sendKeys($text.$end);

        return $this;
    }

    public function choose(string $label, string $value): self
    {
        $this->until("choose $value in $label", function () use ($label, $value) {
            $select = $this->field($label);
            foreach ($select->findElements(WebDriverBy::tagName('option')) as $option) {
                if ($option->getAttribute('value') === $value || str_starts_with($option->getText(), $value)) {
                    $option->click();

                    return true;
                }
            }

            return null;
        });

        return $this;
    }

    /** Ticks a box, or takes the tick away, by the words beside it. */
    public function tick(string $label): self
    {
        $script = <<<'JS'
        const label = [...document.querySelectorAll('label')].find((e) => e.getClientRects().length && e.innerText.trim().startsWith(arguments[0]))
        return label ? (label.control || label.querySelector('input')) : null
        JS;
        $this->until("box “{$label}”", function () use ($script, $label) {
            $box = $this->element($script, $label);
            $box?->click();

            return $box;
        });

        return $this;
    }

    public function field(string $label): RemoteWebElement
    {
        $script = <<<'JS'
        const label = [...document.querySelectorAll('label')].find((e) => e.getClientRects().length && e.innerText.trim().split('\n')[0].trim() === arguments[0])
        return label ? (label.control || label.querySelector('input, select, textarea')) : null
        JS;

        return $this->until("field “{$label}”", fn () => $this->element($script, $label));
    }

    public function keys(string ...$keys): self
    {
        foreach ($keys as $key) {
            $this->browser->switchTo()->activeElement()->sendKeys($key);
        }

        return $this;
    }

    /** Presses Tab until what has the focus is named so. */
    public function tabTo(string $name, bool $back = false): self
    {
        $seen = [];
        for ($press = 0; $press < 150; ++$press) {
            $focused = (string) $this->script(
                'const e = document.activeElement; return e.getAttribute("aria-label") || (e.labels && e.labels[0] ? e.labels[0].innerText.split("\n")[0] : e.innerText) || ""',
            );
            $seen[] = mb_substr(trim($focused), 0, 24);
            if (str_starts_with(trim($focused), $name)) {
                return $this;
            }
            $this->tab($back);
        }
        throw new \RuntimeException(
            "Tab never reached “{$name}”: ".implode(' > ', array_slice($seen, 0, 60)),
        );
    }

    /** As a keyboard does it: keys sent to an element would be taken for the value of a colour field. */
    private function tab(bool $back): void
    {
        $key = static fn (string $type, string $value) => ['type' => $type, 'value' => $value];
        $tab = [$key('keyDown', WebDriverKeys::TAB), $key('keyUp', WebDriverKeys::TAB)];
        $keys = $back
            ? [$key('keyDown', WebDriverKeys::SHIFT), ...$tab, $key('keyUp', WebDriverKeys::SHIFT)]
            : $tab;
        $this->browser->execute(DriverCommand::ACTIONS, [
            'actions' => [['type' => 'key', 'id' => 'keyboard', 'actions' => $keys]],
        ]);
    }

    /** Presses a key and holds it, or lets it go. */
    public function key(string $type, string $value): self
    {
        $this->browser->execute(DriverCommand::ACTIONS, [
            'actions' => [['type' => 'key', 'id' => 'keyboard', 'actions' => [['type' => $type, 'value' => $value]]]],
        ]);

        return $this;
    }

    /** Presses the mouse on an element, moves by px in steps, lets go. */
    public function drag(string $css, int $byX, int $byY): self
    {
        $actions = (new WebDriverActions($this->browser))->clickAndHold($this->find($css));
        for ($step = 1; $step <= 4; ++$step) {
            $actions->moveByOffset(
                intdiv($byX * $step, 4) - intdiv($byX * ($step - 1), 4),
                intdiv($byY * $step, 4) - intdiv($byY * ($step - 1), 4),
            );
        }
        $actions->release()->perform();

        return $this;
    }

    public function dragTo(RemoteWebElement $from, RemoteWebElement $to): self
    {
        (new WebDriverActions($this->browser))
            ->clickAndHold($from)
            ->moveByOffset(8, 8)
            ->moveToElement($to)
            ->moveByOffset(2, 2)
            ->release()
            ->perform();

        return $this;
    }

    public function script(string $script, mixed ...$arguments): mixed
    {
        return $this->browser->executeScript($script, $arguments);
    }

    /**
     * Waits for a condition.
     *
     * @template T
     *
     * @param callable(): (T|null) $probe null or false while it does not hold
     *
     * @return T
     */
    public function until(string $what, callable $probe, int $seconds = self::PATIENCE_S): mixed
    {
        $end = microtime(true) + $seconds;
        $last = '';
        do {
            try {
                $found = $probe();
                if ($found !== null && $found !== false) {
                    return $found;
                }
            } catch (StaleElementReferenceException|WebDriverException $error) {
                $last = $error->getMessage();
            }
            usleep(30_000);
        } while (microtime(true) < $end);
        throw new \RuntimeException(
            "Waited in vain for $what at {$this->browser->getCurrentURL()}. $last ".
                mb_substr((string) $this->browser->executeScript('return document.body.innerText'), 0, 1500),
        );
    }

    /** An element found by a script; the driver gives its id only. */
    private function element(string $script, string ...$arguments): ?RemoteWebElement
    {
        $found = $this->browser->executeScript($script, $arguments);

        return is_array($found)
            ? new RemoteWebElement(new RemoteExecuteMethod($this->browser), (string) reset($found), true)
            : null;
    }

    public function shot(string $path): void
    {
        $this->browser->takeScreenshot($path);
    }

    private function firstWith(string $css, string $text): ?RemoteWebElement
    {
        foreach ($this->all($css) as $element) {
            if (str_contains($element->getText(), $text)) {
                return $element;
            }
        }

        return null;
    }
}
