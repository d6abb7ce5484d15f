<?php

declare(strict_types=1);

namespace UpperPane\App\Adapter;

use Doctrine\DBAL\ParameterType;
use Doctrine\DBAL\Platforms\AbstractPlatform;
use Doctrine\DBAL\Types\Type;

/** A large JSON document, deflated: every edit writes a whole scene, and a tenth of the bytes is a tenth of the log. */
final class PackedJsonType extends Type
{
    public const NAME = 'packed_json';

    public function getSQLDeclaration(array $column, AbstractPlatform $platform): string
    {
        return $platform->getBlobTypeDeclarationSQL($column);
    }

    public function convertToDatabaseValue(mixed $value, AbstractPlatform $platform): ?string
    {
        return $value === null ? null : (string) gzcompress(json_encode($value, \JSON_THROW_ON_ERROR | \JSON_UNESCAPED_UNICODE | \JSON_UNESCAPED_SLASHES), 1);
    }

    public function convertToPHPValue(mixed $value, AbstractPlatform $platform): mixed
    {
        if ($value === null) {
            return null;
        }
        $packed = is_resource($value) ? (string) stream_get_contents($value) : (is_string($value) ? $value : '');

        return json_decode((string) gzuncompress($packed), true, 512, \JSON_THROW_ON_ERROR);
    }

    public function getBindingType(): ParameterType
    {
        return ParameterType::LARGE_OBJECT;
    }
}
