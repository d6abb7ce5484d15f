<?php

declare(strict_types=1);

namespace UpperPane\Core\Base;

/**
 * Input or a command that cannot be carried out: a stable code, the place (JSON Pointer, RFC 6901) and parameters.
 * The wording comes from the catalogue, so that code never holds prose.
 */
final class Refusal extends \DomainException implements Fault
{
    /** @param array<string, string|int|list<string>> $params */
    private function __construct(
        public readonly string $refusalCode,
        public readonly string $path,
        public readonly array $params,
    ) {
        parent::__construct(Catalogue::message($refusalCode, $params));
    }

    /** @param array<string, string|int|list<string>> $params */
    public static function because(string $code, string $path = '', array $params = []): self
    {
        return new self($code, $path, $params);
    }

    /** The same refusal, its path set below another: a command in a batch, a field in a form. */
    public function below(string $prefix): self
    {
        return new self($this->refusalCode, $prefix.$this->path, $this->params);
    }

    /**
     * The same refusal beside the field that caused it, with more said about it.
     *
     * @param array<string, string|int|list<string>> $params
     */
    public function at(string $path, array $params = []): self
    {
        return new self($this->refusalCode, $path, $params + $this->params);
    }

    public function mend(): string
    {
        return Catalogue::mend($this->refusalCode, $this->params);
    }

    /** @return array{code: string, path: string, params: object, message: string, mend: string} */
    public function toArray(): array
    {
        return [
            'code' => $this->refusalCode,
            'path' => $this->path,
            'params' => (object) $this->params,
            'message' => $this->getMessage(),
            'mend' => $this->mend(),
        ];
    }
}
