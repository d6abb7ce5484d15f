<?php

declare(strict_types=1);

namespace UpperPane\Tests\Support;

/** What a browser's trace says of the frames it drew between two marks (performance.mark) of a page. */
final class FrameTrace
{
    public const FRAMES = 'blink.user_timing,disabled-by-default-devtools.timeline.frame';
    public const SCRIPT = 'blink.user_timing,devtools.timeline';
    private const WRITING_S = 30;

    /**
     * Moves a pointer by one step in every animation frame, to and fro, between the marks.
     *
     * @param string $css  what is pressed and dragged
     * @param bool   $free with Ctrl held, so that it snaps to nothing
     */
    public static function drag(Page $page, string $css, int $frames, int $stepX, bool $free = false): void
    {
        $page->browser->manage()->timeouts()->setScriptTimeout(60);
        $page->browser->executeAsyncScript(
            <<<'JS'
            const [css, frames, step, free, done] = arguments
            const target = document.querySelector(css)
            const box = target.getBoundingClientRect()
            const reach = 40
            let x = box.left + box.width / 2, gone = 0
            const y = box.top + box.height / 2
            const send = (type, to) => to.dispatchEvent(new PointerEvent(type, { bubbles: true, cancelable: true, pointerId: 1, isPrimary: true, button: 0, buttons: 1, clientX: x, clientY: y, ctrlKey: free }))
            performance.mark('watch-begin')
            send('pointerdown', target)
            requestAnimationFrame(function tick() {
              x += Math.floor((gone + reach / 2) / reach) % 2 === 0 ? step : -step
              send('pointermove', window)
              if (++gone < frames) return requestAnimationFrame(tick)
              performance.mark('watch-end')
              send('pointercancel', window)
              done()
            })
            JS
            ,
            [$css, $frames, $stepX, $free],
        );
    }

    /** Nothing but what the page does by itself, for so long between the marks. */
    public static function watch(Page $page, int $seconds): void
    {
        $page->script('performance.mark("watch-begin")');
        sleep($seconds);
        $page->script('performance.mark("watch-end")');
    }

    /**
     * ms between drawn frames; the browser has been told to quit.
     *
     * @return list<float>
     */
    public static function intervalsMs(string $file): array
    {
        $drawn = array_column(self::named($file, 'DrawFrame'), 'ts');
        sort($drawn);

        return array_map(
            static fn (int $i) => ($drawn[$i] - $drawn[$i - 1]) / 1000,
            array_keys(array_slice($drawn, 1, null, true)),
        );
    }

    /**
     * What the page's script does in each animation frame, in ms: of the processor's time, and by the clock, which runs
     * on while others have the processor.
     *
     * @return array{list<float>, list<float>}
     */
    public static function scriptMs(string $file): array
    {
        $frames = self::named($file, 'FireAnimationFrame');

        return [
            array_map(static fn (array $frame) => $frame['tdur'] / 1000, $frames),
            array_map(static fn (array $frame) => $frame['dur'] / 1000, $frames),
        ];
    }

    /** @return list<array<string, mixed>> of the events between the marks those of a name */
    private static function named(string $file, string $name): array
    {
        $end = microtime(true) + self::WRITING_S;
        while (
            !is_array($trace = is_file($file) ? json_decode((string) file_get_contents($file), true) : null)
            && microtime(true) < $end
        ) {
            usleep(100_000);
            clearstatcache(true, $file);
        }
        $events = is_array($trace)
            ? $trace['traceEvents']
            : throw new \RuntimeException("The browser wrote no trace to $file.");
        $marks = array_column(
            array_filter($events, static fn (array $event) => str_starts_with((string) $event['name'], 'watch-')),
            'ts',
            'name',
        );

        return array_values(
            array_filter(
                $events,
                static fn (array $event) => $event['name'] === $name
                    && $event['ts'] >= $marks['watch-begin']
                    && $event['ts'] <= $marks['watch-end'],
            ),
        );
    }
}
