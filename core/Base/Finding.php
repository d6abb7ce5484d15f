<?php

declare(strict_types=1);

namespace UpperPane\Core\Base;

/** One result of the preflight or of a computation: drawable, but worth a person's eye. */
final readonly class Finding
{
    /** @param array<string, string|int|list<string>> $params */
    private function __construct(
        public string $code,
        public Severity $severity,
        public string $path,
        public array $params,
    ) {
    }

    /** @param array<string, string|int|list<string>> $params */
    public static function of(string $code, Severity $severity, string $path, array $params = []): self
    {
        return new self($code, $severity, $path, $params);
    }

    /** @return array{code: string, severity: string, path: string, params: object, message: string, mend: string} */
    public function toArray(): array
    {
        return [
            'code' => $this->code,
            'severity' => $this->severity->value,
            'path' => $this->path,
            'params' => (object) $this->params,
            'message' => Catalogue::message($this->code, $this->params),
            'mend' => Catalogue::mend($this->code, $this->params),
        ];
    }
}
