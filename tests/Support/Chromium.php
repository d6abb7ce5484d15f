<?php

declare(strict_types=1);

namespace UpperPane\Tests\Support;

use Facebook\WebDriver\Chrome\ChromeOptions;
use Facebook\WebDriver\Exception\PhpWebDriverExceptionInterface;
use Facebook\WebDriver\Remote\DesiredCapabilities;
use Facebook\WebDriver\Remote\RemoteWebDriver;
use Symfony\Component\Process\Process;

/** Debian's Chromium by its ChromeDriver: one driver for a whole run, a new profile for every session. */
final class Chromium
{
    private static ?Process $driver = null;
    private static int $port = 0;

    /** @var list<string> */
    private static array $profiles = [];

    /** @var list<RemoteWebDriver> */
    private static array $opened = [];

    /**
     * @param array{int, int} $viewport
     * @param ?array{string, string} $trace a file for the browser's own trace, written when it quits, and of what
     */
    public static function open(
        array $viewport = [1280, 800],
        ?string $profile = null,
        ?array $trace = null,
    ): RemoteWebDriver {
        self::start();
        $profile ??= self::$profiles[] = self::folder().'/pane-profile-'.bin2hex(random_bytes(6));
        $options = (new ChromeOptions())->addArguments([
            '--headless',
            '--no-sandbox',
            '--disable-gpu',
            '--disable-dev-shm-usage',
            '--disable-quic',
            '--no-first-run',
            '--disable-background-networking',
            '--disable-component-update',
            '--disable-sync',
            '--autoplay-policy=no-user-gesture-required',
            '--hide-scrollbars',
            '--use-fake-device-for-media-stream',
            '--use-fake-ui-for-media-stream',
            '--force-device-scale-factor=1',
            '--lang=en-GB',
            "--user-data-dir=$profile",
            "--window-size={$viewport[0]},{$viewport[1]}",
            ...$trace === null
                ? []
                : [
                    "--trace-startup=$trace[1]",
                    "--trace-startup-file=$trace[0]",
                    '--trace-startup-duration=0',
                    '--trace-startup-format=json',
                ],
        ]);
        $capabilities = DesiredCapabilities::chrome();
        $capabilities->setCapability(ChromeOptions::CAPABILITY, $options);
        $capabilities->setCapability('goog:loggingPrefs', ['browser' => 'ALL']);
        $browser = RemoteWebDriver::create('http://127.0.0.1:'.self::$port, $capabilities, 60_000, 120_000);
        self::$opened[] = $browser;
        self::fit($browser, $viewport);

        return $browser;
    }

    /** Profiles are written much and kept never: in memory where there is room, whatever the disk is busy with. */
    private static function folder(): string
    {
        $room = is_writable('/dev/shm') ? disk_free_space('/dev/shm') : 0;

        return $room > 2_000_000_000 ? '/dev/shm' : sys_get_temp_dir();
    }

    /** Browsers that nobody closed go too: they would outlive their driver, and take a processor's time for hours. */
    public static function stop(): void
    {
        foreach (self::$opened as $browser) {
            try {
                $browser->getCommandExecutor() === null || $browser->quit();
            } catch (PhpWebDriverExceptionInterface) {
                continue;
            }
        }
        self::$opened = [];
        self::$driver?->stop(2);
        self::$driver = null;
        foreach (self::$profiles as $profile) {
            (new Process(['rm', '-rf', $profile]))->run();
        }
        self::$profiles = [];
    }

    /**
     * A window is larger than its viewport: measured, then enlarged by the difference.
     *
     * @param array{int, int} $viewport
     */
    private static function fit(RemoteWebDriver $browser, array $viewport): void
    {
        [$width, $height] = $browser->executeScript('return [innerWidth, innerHeight]');
        $size = $browser->manage()->window()->getSize();
        $browser
            ->manage()
            ->window()
            ->setSize(
                new \Facebook\WebDriver\WebDriverDimension(
                    $size->getWidth() + $viewport[0] - $width,
                    $size->getHeight() + $viewport[1] - $height,
                ),
            );
    }

    private static function start(): void
    {
        if (self::$driver?->isRunning() === true) {
            return;
        }
        // The system names a port that is free: one of our own choice may be taken by any connection going out.
        self::$driver = new Process(['chromedriver', '--port=0', '--log-level=SEVERE']);
        self::$driver->setTimeout(null)->start();
        self::$driver->waitUntil(self::hearsItsPort(...));
        self::$driver->isRunning() || throw new \RuntimeException('ChromeDriver did not start: '.self::said());
        register_shutdown_function(self::stop(...));
    }

    private static function hearsItsPort(): bool
    {
        if (preg_match('/started successfully on port (\d+)/', self::said(), $found) !== 1) {
            return false;
        }
        self::$port = (int) $found[1];

        return true;
    }

    private static function said(): string
    {
        return self::$driver?->getOutput().self::$driver?->getErrorOutput();
    }
}
