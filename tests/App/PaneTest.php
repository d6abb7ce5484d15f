<?php

declare(strict_types=1);

namespace UpperPane\Tests\App;

use Opis\JsonSchema\Validator;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Symfony\Component\Process\Process;

/**
 * `bin/pane` as a script sees it: streams and exit codes. Values are those of the command-line reference (docs/cli.md,
 * model §2, §3, §4, §6).
 */
final class PaneTest extends TestCase
{
    /** @return iterable<string, array{string, string, string}> command, input, output */
    public static function answers(): iterable
    {
        yield 'a board' => [
            'glaze',
            '{"size":[1920,1080],"tree":{"split":"rows","gutter":0,"parts":[{"size":"1fr","split":"columns","parts":[{"size":"1320px","pane":"A"},{"size":"1fr","pane":"B"}]},{"size":"200px","pane":"C"}]}}',
            '{"panes":{"A":[0,0,1320,880],"B":[1320,0,600,880],"C":[0,880,1920,200]},"mullions":[{"axis":"y","at":880,"gutter":0,"from":0,"to":1920,"parts":["/tree/parts/0","/tree/parts/1"],"between":[["A","B"],["C"]]},{"axis":"x","at":1320,"gutter":0,"from":0,"to":880,"parts":["/tree/parts/0/parts/0","/tree/parts/0/parts/1"],"between":[["A"],["B"]]}]}',
        ];
        yield 'windows over the change of clocks' => [
            'schedule',
            '{"zone":"Europe/Berlin","from":"2026-03-27T00:00:00Z","until":"2026-03-31T00:00:00Z","entries":[{"id":"a","start":"2026-03-20T02:30:00","end":"05:00","rrule":"FREQ=DAILY","rdate":["2026-03-28T12:00:00"],"exdate":["2026-03-29T02:30:00"]}]}',
            '{"windows":[{"entry":"a","from":"2026-03-27T01:30:00Z","until":"2026-03-27T04:00:00Z"},{"entry":"a","from":"2026-03-28T01:30:00Z","until":"2026-03-28T04:00:00Z"},{"entry":"a","from":"2026-03-28T11:00:00Z","until":"2026-03-29T03:00:00Z"},{"entry":"a","from":"2026-03-30T00:30:00Z","until":"2026-03-30T03:00:00Z"}],"truncated":false}',
        ];
        yield 'two that step with a leader' => [
            'sync',
            '{"leader":[5000,3000],"followers":{"B":[1000,1000,1000],"C":[]},"unequal":"hold"}',
            '{"cycle_ms":8000,"steps":[{"at_ms":0,"leader":0,"followers":{"B":0,"C":null}},{"at_ms":5000,"leader":1,"followers":{"B":1,"C":null}}],"findings":[{"code":"sync.never_shown","severity":"caution","path":"/followers/B/2","params":{"zone":"B","entry":3},"message":"Entry 3 of B is never shown: its leader has fewer.","mend":"Let it wrap round, take the entry out, or give the leader one more."}]}',
        ];
        yield 'a sentence of when' => [
            'when-read',
            '{"zone":"Europe/London","today":"2026-12-01","words":"every first mon 5:40-1:15, until 30 June 2027"}',
            '{"start":"2026-12-07T05:40:00","end":"01:15","rrule":"FREQ=MONTHLY;BYDAY=1MO;UNTIL=20270630T225959Z","words":"every first Monday, 05:40 to 01:15, from 7 December 2026, until 30 June 2027"}',
        ];
        yield 'when in a sentence' => [
            'when-say',
            '{"zone":"Europe/London","start":"2026-12-01T06:00","end":"09:00","rrule":"FREQ=WEEKLY;BYDAY=MO,TU,WE,TH,FR"}',
            '{"words":"every Monday to Friday, 06:00 to 09:00, from 1 December 2026"}',
        ];
        yield 'entries for other calendars' => [
            'icalendar',
            '{"zone":"Asia/Tokyo","at":"2026-12-01T09:00:00Z","entries":[{"id":"a","name":"Ness, early","start":"2026-12-07T05:40","end":"01:15","rrule":"FREQ=MONTHLY;BYDAY=1MO"}]}',
            '{"text":"BEGIN:VCALENDAR\\r\\nVERSION:2.0\\r\\nPRODID:-//Upper Pane//Schedule//EN\\r\\nBEGIN:VTIMEZONE\\r\\nTZID:Asia/Tokyo\\r\\nBEGIN:STANDARD\\r\\nDTSTART:20251206T054000\\r\\nTZOFFSETFROM:+0900\\r\\nTZOFFSETTO:+0900\\r\\nEND:STANDARD\\r\\nEND:VTIMEZONE\\r\\nBEGIN:VEVENT\\r\\nUID:a\\r\\nDTSTAMP:20261201T090000Z\\r\\nSUMMARY:Ness\\\\, early\\r\\nDTSTART;TZID=Asia/Tokyo:20261207T054000\\r\\nDTEND;TZID=Asia/Tokyo:20261208T011500\\r\\nRRULE:FREQ=MONTHLY;BYDAY=1MO\\r\\nEND:VEVENT\\r\\nEND:VCALENDAR\\r\\n"}',
        ];
        yield 'a single panel, turned' => [
            'surface',
            '{"panels":[{"native":[1920,1080],"active_mm":[1209.6,680.4],"rotation":90}]}',
            '{"canvas":[1080,1920],"pitch_mm":[0.63,0.63],"ratio":{"exact":"9:16","name":"9:16"},"panels":[{"id":"1","number":1,"rect":[0,0,1080,1920],"turn":270,"scale":[1,1]}],"seams":[],"findings":[]}',
        ];
        yield 'a wall' => [
            'surface',
            '{"grid":{"columns":2,"rows":1,"panel":{"native":[1920,1080],"active_mm":[1209.6,680.4],"bezel_mm":[1.89,1.89,1.89,1.89],"rotation":0},"gap_mm":[0,0]},"mode":"compensated"}',
            '{"canvas":[3846,1080],"pitch_mm":[0.63,0.63],"ratio":{"exact":"641:180","name":"32:9"},"panels":[{"id":"1","number":1,"rect":[0,0,1920,1080],"turn":0,"scale":[1,1]},{"id":"2","number":2,"rect":[1926,0,1920,1080],"turn":0,"scale":[1,1]}],"seams":[[1920,0,6,1080]],"findings":[]}',
        ];
        yield 'capitals on the ribbon' => [
            'legible',
            '{"cap_height_px":48,"pitch_mm":6,"distance_m":30}',
            '{"height_mm":288,"arcmin":33,"pixel_distance_m":20.6}',
        ];
        yield 'a face at a size' => [
            'legible',
            '{"font":"Roboto","weight":400,"size":2048,"pitch_mm":0.5,"distance_m":5}',
            '{"height_mm":728,"arcmin":499.7,"pixel_distance_m":1.7}',
        ];
        yield 'cells' => [
            'lattice',
            '{"size":[1366,768],"columns":16,"rows":16,"cells":[0,0,4,4]}',
            '{"rect":[0,0,342,192],"ratio":{"exact":"57:32","name":"16:9"}}',
        ];
        yield 'the model’s reflow' => [
            'reflow',
            '{"from":{"size":[1920,1080],"pitch_mm":[0.63,0.63]},"to":{"size":[1080,1920],"pitch_mm":[0.63,0.63]},"scale":"none","tree":{"split":"columns","parts":[{"size":"1fr","pane":"A"},{"size":"1fr","pane":"B"}]}}',
            '{"scale":"1:1","panes":{"A":[0,0,540,1920],"B":[540,0,540,1920]},"left_out":[],"findings":[]}',
        ];
        yield 'a float' => [
            'place',
            '{"size":[1920,1080],"frames":{"A":[0,0,1320,880]},"floats":[{"id":"f","frame":"canvas","anchor":"bottom-right","offset":["-40px","-5%"],"size":["20%","300px"],"turn":0}]}',
            '{"floats":{"f":{"rect":[1496,726,384,300],"outline":[[1496,726],[1880,726],[1880,1026],[1496,1026]]}},"findings":[]}',
        ];
        yield 'a zone called 0' => [
            'period',
            '{"zones":{"0":[5000]},"scene_ms":6000}',
            '{"period_ms":5000,"over_ms":null,"cut":[{"zone":"0","entry":0,"entry_left_ms":4000,"cycle_left_ms":4000}]}',
        ];
        yield 'cover' => [
            'fit',
            '{"source":[4000,3000],"box":[1320,880],"fit":"cover","focus":[50,50]}',
            '{"drawn":[0,-55,1320,990],"visible":[0,166.667,4000,2666.667],"bars":[0,0,0,0],"cut":0.1111,"scale":[0.33,0.33]}',
        ];
        yield 'the first line of checks.md' => [
            'text',
            '{"font":"Roboto","size":40,"text":"The quick brown fox","box":[300,200],"mode":"wrap","line_height":1.2}',
            '{"size":40,"lines":[{"text":"The quick brown","width":293.262},{"text":"fox","width":56.152}],"used":[293.262,96],"overflow":false,"measured":"exact","cap_height_px":28.438}',
        ];
        yield 'grey on white' => ['contrast', '{"ink":"#777777","ground":"#ffffff"}', '{"ratio":4.48}'];
        yield 'a layout as SMIL' => [
            'smil-write',
            '{"size":[640,480],"regions":[{"id":"A","rect":[0,0,640,480],"z":1,"fit":"cover","focus":[50,100],"ground":"#102030"}]}',
            '{"smil":"<?xml version=\\"1.0\\" encoding=\\"UTF-8\\"?>\\n<!DOCTYPE smil PUBLIC \\"-//W3C//DTD SMIL 3.0 Language//EN\\" \\"http://www.w3.org/2008/SMIL30/SMIL30Language.dtd\\">\\n<smil xmlns=\\"http://www.w3.org/ns/SMIL\\" version=\\"3.0\\" baseProfile=\\"Language\\">\\n <head>\\n  <layout>\\n   <root-layout width=\\"640\\" height=\\"480\\"/>\\n   <region xml:id=\\"A\\" regionName=\\"A\\" left=\\"0\\" top=\\"0\\" width=\\"640\\" height=\\"480\\" z-index=\\"1\\" fit=\\"slice\\" mediaAlign=\\"bottomMid\\" backgroundColor=\\"#102030\\"/>\\n  </layout>\\n </head>\\n <body/>\\n</smil>\\n"}',
        ];
        yield 'nothing enabled' => [
            'playlist',
            '{"entries":[{"id":"a","ms":10,"enabled":false}],"at_ms":[5]}',
            '{"cycle_ms":0,"period_ms":0,"sequence":[],"truncated":false,"at":[{"entry":null,"since_ms":0,"left_ms":0}]}',
        ];
        yield 'cycles that meet' => [
            'period',
            '{"zones":{"A":[5000,5000,5000],"B":[40000]},"scene_ms":60000}',
            '{"period_ms":120000,"over_ms":null,"cut":[{"zone":"B","entry":0,"entry_left_ms":20000,"cycle_left_ms":20000}]}',
        ];
    }

    #[DataProvider('answers')]
    public function testAnswersAndDescribesItsInput(string $command, string $input, string $output): void
    {
        [$exit, $out, $err] = self::pane([$command], $input);
        [, $schema] = self::pane(['schema', $command], '');

        self::assertSame([0, $output, ''], [$exit, trim($out), $err]);
        self::assertTrue((new Validator())->validate(json_decode($input), json_decode($schema))->isValid());
    }

    /** @return iterable<string, array{list<string>, string, string, string}> arguments, input, code, path */
    public static function refusals(): iterable
    {
        yield 'parts that are too large' => [
            ['glaze'],
            '{"size":[100,100],"tree":{"split":"columns","parts":[{"size":"70px","pane":"A"},{"size":"40px","pane":"B"}]}}',
            'glaze.too_large',
            '/tree',
        ];
        yield 'a pane id twice' => [
            ['glaze'],
            '{"size":[100,100],"tree":{"split":"columns","parts":[{"size":"1fr","pane":"A"},{"size":"1fr","pane":"A"}]}}',
            'glaze.pane_twice',
            '/tree/parts/1',
        ];
        yield 'beyond the lattice' => [
            ['lattice'],
            '{"size":[10,10],"columns":2,"rows":2,"cells":[1,1,2,1]}',
            'lattice.beyond',
            '/cells',
        ];
        yield 'a typing slip' => [
            ['fit'],
            '{"source":[1,1],"box":[1,1],"fit":"cover","focsu":[50,50]}',
            'input.unknown_key',
            '/focsu',
        ];
        yield 'too many px' => [['fit'], '{"source":[100001,1],"box":[1,1],"fit":"cover"}', 'input.range', '/source/0'];
        yield 'not JSON' => [['period'], '{"zones":NaN}', 'input.json', ''];
        yield 'two panels in one place without saying where' => [
            ['surface'],
            '{"panels":[{"native":[1,1],"active_mm":[1,1]},{"native":[1,1],"active_mm":[1,1]}]}',
            'input.missing',
            '/panels/0/position_mm',
        ];
        yield 'height and font' => [
            ['legible'],
            '{"cap_height_px":1,"font":"Roboto","size":1,"pitch_mm":1,"distance_m":1}',
            'legible.height_or_font',
            '',
        ];
        yield 'a face that is not there' => [
            ['text'],
            '{"font":"Nowhere","size":10,"text":"a","box":[1,1]}',
            'text.font_unknown',
            '/font',
        ];
        yield 'a colour by name' => [['contrast'], '{"ink":"grey","ground":"#ffffff"}', 'input.colour', '/ink'];
        yield 'nothing to scan' => [['qr'], '{"text":""}', 'qr.empty', '/text'];
        yield 'too much to scan' => [
            ['qr'],
            json_encode(['text' => str_repeat('a', 2332)], \JSON_THROW_ON_ERROR),
            'qr.too_long',
            '/text',
        ];
        yield 'no picture' => [['cutout', '--file', __FILE__], '', 'cutout.no_picture', ''];
        yield 'an option that is none' => [['cutout', '--file', __FILE__, '--beta', '1'], '', 'pane.argument', ''];
        yield 'an option beyond' => [['cutout', '--file', __FILE__, '--alpha', '256'], '', 'pane.option', ''];
        yield 'a file that is none' => [['edid', '--file', '/nowhere'], '', 'pane.file_unreadable', ''];
        yield 'no file' => [['edid'], '', 'pane.file_wanted', ''];
        yield 'text instead of an EDID' => [['edid', '--file', __FILE__], '', 'edid.not_edid', ''];
        yield 'a lattice finer than the px' => [
            ['lattice'],
            '{"size":[10,10],"columns":16,"rows":16,"cells":[1,1,1,1]}',
            'lattice.too_fine',
            '',
        ];
        yield 'an object for a list' => [
            ['lattice'],
            '{"size":{"0":1366,"1":768},"columns":1,"rows":1,"cells":[0,0,1,1]}',
            'input.type',
            '/size',
        ];
        yield 'a list for an object' => [['period'], '{"zones":[],"scene_ms":1}', 'input.type', '/zones'];
        yield 'a key given twice' => [
            ['fit'],
            '{"source":[1,1],"source":[2,2],"box":[1,1],"fit":"cover"}',
            'input.key_twice',
            '',
        ];
        yield 'a frame that is not there' => [
            ['place'],
            '{"size":[10,10],"floats":[{"id":"f","frame":"A","anchor":"top","offset":["0px","0px"],"size":["1px","1px"]}]}',
            'float.frame_unknown',
            '/floats/0/frame',
        ];
        yield 'an argument that is not UTF-8' => [["\xff"], '', 'pane.command_unknown', ''];
        yield 'a schema of one that is not UTF-8' => [['schema', "\xff"], '', 'pane.command_unknown', ''];
        yield 'no such command' => [['paint'], '', 'pane.command_unknown', ''];
        yield 'one argument too many' => [['fit', 'x'], '{}', 'pane.argument', ''];
    }

    /** @param list<string> $arguments */
    #[DataProvider('refusals')]
    public function testRefusesWithCodePlaceAndMend(array $arguments, string $input, string $code, string $path): void
    {
        [$exit, $out, $err] = self::pane($arguments, $input);
        $error = json_decode($err, true)['error'];

        self::assertSame([2, '', $code, $path], [$exit, $out, $error['code'], $error['path']]);
        self::assertNotSame('', $error['mend']);
    }

    /** An answer that could not be written is no success. */
    public function testSaysWhenNothingCouldBeWritten(): void
    {
        foreach (['>/dev/full', '>&-'] as $where) {
            $process = Process::fromShellCommandline(\dirname(__DIR__, 2)."/bin/pane list $where");
            self::assertSame(1, $process->run(), $where);
            self::assertSame(
                'pane.output_closed',
                json_decode($process->getErrorOutput(), true)['error']['code'] ?? null,
                $where,
            );
        }
        foreach (['lattice < /tmp', 'edid --file /proc/self/mem'] as $odd) {
            $process = Process::fromShellCommandline(\dirname(__DIR__, 2)."/bin/pane $odd");
            self::assertSame(2, $process->run(), $odd);
            self::assertIsArray(json_decode($process->getErrorOutput(), true), $odd);
        }
    }

    /**
     * @param list<string> $arguments
     *
     * @return array{int, string, string}
     */
    private static function pane(array $arguments, string $input): array
    {
        $process = new Process([\dirname(__DIR__, 2).'/bin/pane', ...$arguments], input: $input);

        return [$process->run(), $process->getOutput(), $process->getErrorOutput()];
    }
}
