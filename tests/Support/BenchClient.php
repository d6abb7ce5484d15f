<?php

declare(strict_types=1);

namespace UpperPane\Tests\Support;

use Symfony\Component\Uid\Uuid;
use UpperPane\Demo\Sketch;

/** One kept-alive connection to the running app, and the fixed load of the benchmark: 200 zones. */
final class BenchClient
{
    public const DESIGN = '0b0c1dff-0000-4000-8000-0000000000ff';
    private \CurlHandle $curl;
    private string $csrf = '';
    public int $revision = 0;
    private string $located = '';
    private readonly string $client;

    /** @var array<string, int> how far the answers to a document have come */
    private array $shown = [];

    public function __construct(private readonly string $address, string $who = 'dina')
    {
        $this->client = self::uuid();
        $this->curl = curl_init() ?: throw new \RuntimeException('curl');
        curl_setopt_array($this->curl, [
            \CURLOPT_RETURNTRANSFER => true,
            \CURLOPT_COOKIEFILE => '',
            \CURLOPT_TCP_NODELAY => true,
            \CURLOPT_HEADERFUNCTION => function (\CurlHandle $curl, string $header): int {
                if (stripos($header, 'Location:') === 0) {
                    $this->located = trim(substr($header, 9));
                }

                return strlen($header);
            },
        ]);
        $this->call('POST', '/api/session', ['email' => "$who@harrowmere.example", 'password' => 'harrowmere']);
        $this->csrf = $this->call('GET', '/api/me')['person']['csrf'];
    }

    /**
     * @param array<string, mixed>|null $body
     * @param list<string>              $headers
     *
     * @return array<string, mixed>
     */
    public function call(string $method, string $path, ?array $body = null, array $headers = []): array
    {
        curl_setopt_array($this->curl, [
            \CURLOPT_URL => $this->address.$path,
            \CURLOPT_CUSTOMREQUEST => $method,
            \CURLOPT_HTTPHEADER => ['X-Csrf-Token: '.$this->csrf, 'Content-Type: application/json', ...$headers],
            \CURLOPT_POSTFIELDS => $body === null ? '' : json_encode($body),
        ]);
        $answer = (string) curl_exec($this->curl);
        $status = (int) curl_getinfo($this->curl, \CURLINFO_RESPONSE_CODE);
        if ($status >= 400) {
            throw new \RuntimeException("$method $path: $status $answer");
        }

        return (array) json_decode($answer, true);
    }

    /**
     * A file part by part, made as it is sent: nothing is held but a part.
     *
     * @param callable(int): string $part so many bytes
     *
     * @return string the address of the upload, of which all has arrived
     */
    public function send(string $site, string $name, int $bytes, callable $part, int $partBytes): string
    {
        $upload = $this->begin($site, $name, $bytes);
        for ($from = 0; $from < $bytes; $from += $partBytes) {
            [$status, $answer] = $this->part($upload, $from, $part(min($partBytes, $bytes - $from)));
            if ($status !== 204) {
                throw new \RuntimeException("PATCH $upload at $from: $answer");
            }
        }

        return $upload;
    }

    /**
     * @param array<string, mixed> $fields
     *
     * @return array<string, mixed>
     */
    public function form(string $path, array $fields): array
    {
        curl_setopt_array($this->curl, [
            \CURLOPT_URL => $this->address.$path,
            \CURLOPT_CUSTOMREQUEST => 'POST',
            \CURLOPT_HTTPHEADER => ['X-Csrf-Token: '.$this->csrf],
            \CURLOPT_POSTFIELDS => $fields,
        ]);
        $answer = (string) curl_exec($this->curl);
        $status = (int) curl_getinfo($this->curl, \CURLINFO_RESPONSE_CODE);

        return $status < 400
            ? (array) json_decode($answer, true)
            : throw new \RuntimeException("POST $path: $status $answer");
    }

    /** @return string the address of an upload that begins */
    public function begin(string $site, string $name, int $bytes): string
    {
        $this->call('POST', "/api/sites/$site/uploads", null, [
            "Upload-Length: $bytes",
            'Upload-Metadata: filename '.base64_encode($name),
        ]);

        return (string) parse_url((string) $this->located, \PHP_URL_PATH);
    }

    /** @return array{int, string} status and answer; 0 where none came */
    public function part(string $upload, int $from, string $bytes): array
    {
        curl_setopt_array($this->curl, [
            \CURLOPT_URL => $this->address.$upload,
            \CURLOPT_CUSTOMREQUEST => 'PATCH',
            \CURLOPT_HTTPHEADER => [
                'X-Csrf-Token: '.$this->csrf,
                'Content-Type: application/offset+octet-stream',
                "Upload-Offset: $from",
            ],
            \CURLOPT_POSTFIELDS => $bytes,
        ]);
        $answer = (string) curl_exec($this->curl);

        return [(int) curl_getinfo($this->curl, \CURLINFO_RESPONSE_CODE), $answer];
    }

    /** What the last request took, in ms, as curl measured it. */
    public function tookMs(): float
    {
        return curl_getinfo($this->curl, \CURLINFO_TOTAL_TIME_T) / 1000;
    }

    /** @param list<array<string, mixed>> $commands */
    public function edit(array $commands): void
    {
        $this->revision = $this->batch(self::DESIGN, $this->revision, $commands)['revision'];
    }

    /**
     * @param list<array<string, mixed>> $commands
     *
     * @return array<string, mixed>
     */
    public function batch(string $document, int $revision, array $commands): array
    {
        $this->shown[$document] = max($this->shown[$document] ?? 0, $revision);

        $answer = $this->call('POST', "/api/documents/$document/batches", [
            'batch' => self::uuid(),
            'client' => $this->client,
            'revision' => $revision,
            'shown' => $this->shown[$document],
            'commands' => $commands,
        ]);
        $this->shown[$document] = $answer['revision'];

        return $answer;
    }

    /** 80 texts of which 40 shrink, 60 pictures, 20 playlists of 10, 10 clocks, 30 colours, in 20 columns of 10. */
    public function makeLoad(): void
    {
        $this->call('POST', '/api/surfaces/cafe/designs', ['design' => self::DESIGN, 'name' => 'Two hundred zones']);
        $media = array_values(
            array_filter(
                $this->call('GET', '/api/sites/harrowmere/stock')['media'],
                static fn (array $one) => str_starts_with($one['mime'], 'image/'),
            ),
        );
        $zones = ['z-0b0c1dff'];
        $splits = [];
        for ($column = 1; $column < 20; ++$column) {
            $splits[] = Sketch::split($zones[$column - 1], 'columns', 192 * $column, $zones[] = "c$column");
        }
        $this->edit($splits);
        foreach ($zones as $column => $top) {
            $splits = [];
            $above = $top;
            for ($row = 1; $row < 10; ++$row) {
                $splits[] = Sketch::split($above, 'rows', 216 * $row, $above = "c{$column}r$row");
            }
            $this->edit($splits);
        }
        foreach (array_chunk($this->call('GET', '/api/documents/'.self::DESIGN)['order'], 50) as $part => $chunk) {
            $this->edit(
                array_map(
                    fn (int $i) => Sketch::fill($chunk[$i], $this->fill($part * 50 + $i, $media)),
                    array_keys($chunk),
                ),
            );
        }
    }

    /** The same load with 40 of its zones as floats, twelve of them in a row: 160 panes and 40 floats. Gives its id. */
    public function makeFloats(): string
    {
        $design = self::uuid();
        $this->call('POST', '/api/surfaces/cafe/designs', ['design' => $design, 'name' => 'Forty floats']);
        $layout = ['scene' => 's-rest', 'layout' => 'own'];
        $zones = ['z-'.substr($design, 0, 8)];
        $commands = [];
        for ($column = 1; $column < 16; ++$column) {
            $commands[] = Sketch::split($zones[$column - 1], 'columns', 240 * $column, $zones[] = "c$column");
        }
        foreach ($zones as $column => $above) {
            for ($row = 1; $row < 10; ++$row) {
                $commands[] = Sketch::split($above, 'rows', 216 * $row, $zones[] = $above = "c{$column}r$row");
            }
        }
        for ($number = 0; $number < 40; ++$number) {
            $zones[] = "float$number";
            $commands[] = $layout + [
                'do' => 'float.place',
                'float' => [
                    'zone' => "float$number",
                    'frame' => 'canvas',
                    'anchor' => 'top-left',
                    'offset' => [(80 + 300 * ($number % 12)).'px', (200 + 500 * intdiv($number, 12)).'px'],
                    'size' => ['240px', '200px'],
                    'turn' => $number >= 12 && $number % 5 === 4 ? 1500 : 0,
                ],
                'before' => null,
            ];
        }
        $media = array_values(
            array_filter(
                $this->call('GET', '/api/sites/harrowmere/stock')['media'],
                static fn (array $one) => str_starts_with($one['mime'], 'image/'),
            ),
        );
        foreach ($zones as $number => $zone) {
            $commands[] = Sketch::fill($zone, $this->fill($number, $media));
        }
        $revision = 0;
        foreach (array_chunk($commands, 50) as $chunk) {
            $revision = $this->batch($design, $revision, $chunk)['revision'];
        }

        return $design;
    }

    /** A design of so many scenes, each of 40 zones of its own: 20 texts, 19 pictures, a clock. Gives its id. */
    public function makeScenes(int $scenes): string
    {
        $design = self::uuid();
        $this->call('POST', '/api/surfaces/cafe/designs', ['design' => $design, 'name' => "$scenes scenes"]);
        $media = (string) array_column($this->call('GET', '/api/sites/harrowmere/stock')['media'], 'id', 'name')[
            'Lake at dawn.jpg'
        ];
        $zones = ['z-'.substr($design, 0, 8)];
        $commands = [];
        for ($column = 1; $column < 4; ++$column) {
            $commands[] = Sketch::split($zones[$column - 1], 'columns', 960 * $column, $zones[] = "c$column");
        }
        foreach ($zones as $column => $above) {
            for ($row = 1; $row < 10; ++$row) {
                $commands[] = Sketch::split($above, 'rows', 216 * $row, $zones[] = $above = "c{$column}r$row");
            }
        }
        foreach ($zones as $index => $zone) {
            $commands[] = Sketch::fill(
                $zone,
                $index === 0
                    ? Sketch::clock('HH:mm', 60)
                    : ($index % 2 === 1
                        ? Sketch::text("Boat $index leaves from the outer pontoon", 40)
                        : Sketch::picture($media)),
            );
        }
        $revision = $this->batch($design, 0, $commands)['revision'];
        for ($scene = 1; $scene < $scenes; ++$scene) {
            $copies = array_combine($zones, array_map(static fn (int $i) => "s{$scene}z$i", array_keys($zones)));
            $duplicate = [
                'do' => 'scene.duplicate',
                'scene' => 's-rest',
                'as' => "s-$scene",
                'name' => "Scene $scene",
                'copies' => $copies,
                'joins' => true,
            ];
            $revision = $this->batch($design, $revision, [
                $duplicate,
                ['do' => 'scene.length', 'scene' => "s-$scene", 'length' => ['kind' => 'ms', 'ms' => 10_000]],
            ])['revision'];
        }

        return $design;
    }

    /** So many surfaces on the Elevation, the last a wall of 8 × 6, each with a picture, a text and a clock. */
    public function makeSite(int $count): void
    {
        $there = count($this->call('GET', '/api/sites/harrowmere/elevation')['surfaces']);
        $media = (string) array_column($this->call('GET', '/api/sites/harrowmere/stock')['media'], 'id', 'name')[
            'Lake at dawn.jpg'
        ];
        $panel = ['native' => [1920, 1080], 'active_mm' => [1209.6, 680.4], 'bezel_mm' => [1.89, 1.89, 1.89, 1.89]];
        for ($number = $there; $number < $count; ++$number) {
            $wall = $number === $count - 1;
            $shape = $wall ? ['grid' => ['columns' => 8, 'rows' => 6, 'panel' => $panel]] : ['panels' => [$panel]];
            $surface = $this->call('POST', '/api/sites/harrowmere/surfaces', [
                'made_as' => self::uuid(),
                'name' => "Surface $number",
                'kind' => 'LCD',
                'shape' => $shape,
                'portrait' => false,
                'sure' => true,
            ])['surface'];
            $design = self::uuid();
            $this->call('POST', "/api/surfaces/$surface/designs", ['design' => $design, 'name' => "Design $number"]);
            $zone = 'z-'.substr($design, 0, 8);
            $this->batch($design, 0, [
                Sketch::split($zone, 'rows', 800, 'z-low'),
                Sketch::split('z-low', 'columns', 1400, 'z-clock'),
                Sketch::fill($zone, Sketch::picture($media)),
                Sketch::fill('z-low', Sketch::text("Surface $number", 90)),
                Sketch::fill('z-clock', Sketch::clock('HH:mm', 90)),
            ]);
            $release = $this->call('POST', "/api/designs/$design/releases", [
                'revision' => 1,
                'note' => '',
                'made_as' => self::uuid(),
            ])['release'];
            $this->call('POST', "/api/surfaces/$surface/hand-off", [
                'release' => $release,
                'after' => 0,
                'made_as' => self::uuid(),
            ]);
        }
    }

    /**
     * @param list<array<string, mixed>> $media
     *
     * @return array<string, mixed>
     */
    private function fill(int $number, array $media): array
    {
        $picture = static fn (int $i) => Sketch::picture((string) $media[$i % count($media)]['id']);

        return match (true) {
            $number < 40 => Sketch::text("Boat $number leaves from the outer pontoon at low water", 24, [
                'mode' => 'wrap',
            ]),
            $number < 80 => Sketch::text(
                "Boat $number leaves from the outer pontoon at low water and waits there",
                90,
                ['min_size' => 8, 'padding' => 4],
            ),
            $number < 140 => $picture($number),
            $number < 160 => Sketch::playlist(array_map(static fn (int $i) => [$picture($i), 4000 + $i], range(0, 9))),
            $number < 170 => Sketch::clock('HH:mm:ss', 40, ['padding' => 4]),
            default => Sketch::colour(sprintf('#%06X', $number * 4001)),
        };
    }

    public static function uuid(): string
    {
        return Uuid::v4()->toRfc4122();
    }
}
