<?php

declare(strict_types=1);

namespace UpperPane\Tests\Support;

use Opis\JsonSchema\Errors\ErrorFormatter;
use Opis\JsonSchema\Validator;
use PHPUnit\Framework\Assert;
use Symfony\Component\HttpFoundation\BinaryFileResponse;
use Symfony\Component\HttpFoundation\Response;

/** Holds answers against docs/openapi.json, whose operations are called as the app's routes are. */
final class Contract
{
    private static ?Validator $validator = null;

    /** @var array<string, object> by operation */
    private static array $operations = [];

    /** @var array<string, true> operations that were answered as they promise */
    private static array $kept = [];

    public static function assertKept(string $operation, Response $response): void
    {
        $responses = (self::operations()[$operation] ?? null)?->responses;
        if ($responses === null) {
            return;
        }
        $status = (string) $response->getStatusCode();
        $success = $response->isSuccessful();
        $key = isset($responses->$status) ? $status : ($success ? $status : 'default');
        Assert::assertObjectHasProperty($key, $responses, "$operation answers $status, which is not documented");
        self::$kept += $success ? [$operation => true] : [];
        $contents = get_object_vars($responses->$key->content ?? new \stdClass());
        $isOf = explode(';', (string) $response->headers->get('Content-Type'))[0];
        Assert::assertTrue($contents === [] || isset($contents[$isOf]), "$operation answers $isOf");
        foreach ($contents as $type => $content) {
            if ($type === $isOf && isset($content->schema) && str_ends_with($type, 'json')) {
                $text =
                    $response instanceof BinaryFileResponse
                        ? file_get_contents($response->getFile()->getPathname())
                        : $response->getContent();
                self::assertValid("$operation/$key", (string) $text);
            }
        }
    }

    /** @return list<string> operations that nobody has been seen to answer well */
    public static function untried(): array
    {
        return array_values(array_diff(array_keys(self::operations()), array_keys(self::$kept)));
    }

    public static function forget(): void
    {
        self::$kept = [];
    }

    private static function assertValid(string $where, string $json): void
    {
        $result = self::validator()->validate(json_decode($json), "https://upper-pane.example/$where");
        $error = $result->error();
        $said = $error === null ? '' : json_encode((new ErrorFormatter())->format($error));
        Assert::assertTrue($result->isValid(), "$where: $said ".mb_substr($json, 0, 600));
    }

    /** One for all, because it keeps the schemas it has read. */
    private static function validator(): Validator
    {
        if (self::$validator === null) {
            self::$validator = new Validator();
            $components = self::document()->components;
            foreach (self::operations() as $name => $operation) {
                foreach (get_object_vars($operation->responses) as $status => $response) {
                    foreach (get_object_vars($response->content ?? new \stdClass()) as $content) {
                        $id = "https://upper-pane.example/$name/$status";
                        self::$validator->resolver()?->registerRaw(
                            (object) ['$id' => $id, 'components' => $components, 'allOf' => [$content->schema]],
                        );
                    }
                }
            }
        }

        return self::$validator;
    }

    /** @return array<string, object> */
    private static function operations(): array
    {
        if (self::$operations === []) {
            foreach (get_object_vars(self::document()->paths) as $methods) {
                foreach (get_object_vars($methods) as $operation) {
                    self::$operations[$operation->operationId] = $operation;
                }
            }
        }

        return self::$operations;
    }

    private static function document(): object
    {
        return (object) json_decode((string) file_get_contents(\dirname(__DIR__, 2).'/docs/openapi.json'));
    }
}
