<?php

declare(strict_types=1);

namespace UpperPane\Core\Legibility\Qr;

use UpperPane\Core\Base\Input;
use UpperPane\Core\Base\Refusal;

/**
 * What a QR code says, and the text that telephones know it by: an address as it is, a contact as vCard 3.0 (RFC 2426),
 * a wireless network as `WIFI:` (common practice).
 */
final readonly class QrContent
{
    public const KINDS = ['text', 'address', 'contact', 'network'];
    private const LONGEST = 2000;
    private const FIELDS = [
        'text' => ['text'],
        'address' => ['address'],
        'contact' => ['name', 'phone', 'email', 'address'],
        'network' => ['name', 'password', 'security'],
    ];

    /** @param array<string, string> $fields */
    private function __construct(public string $as, public array $fields)
    {
    }

    /** @throws Refusal `qr.address` for an address that does not begin with http:// or https:// */
    public static function parse(Input $input): self
    {
        $as = (string) $input->choice('as', self::KINDS);
        $input->keys(['as', ...self::FIELDS[$as]]);
        $fields = [];
        foreach (self::FIELDS[$as] as $field) {
            $fields[$field] = $field === 'security'
                ? (string) $input->choice('security', ['WPA', 'WEP', 'nopass'])
                : $input->text($field, self::LONGEST);
        }
        $address = $fields['address'] ?? '';
        if ($address !== '' && preg_match('#^https?://[^\s/?\#]+#i', $address) !== 1) {
            throw Refusal::because('qr.address', $input->pathTo('address'), ['value' => $address]);
        }

        return new self($as, $fields);
    }

    /** Empty as long as nothing is there to be said. */
    public function text(): string
    {
        $fields = $this->fields;

        return match (true) {
            $this->as === 'text' => $fields['text'],
            $this->as === 'address' => $fields['address'],
            ($fields['name'] ?? '') === '' => '',
            $this->as === 'network' => 'WIFI:T:'.$fields['security'].';S:'.self::escaped($fields['name'], ';,:"\\').
                ($fields['security'] === 'nopass' ? '' : ';P:'.self::escaped($fields['password'], ';,:"\\')).';;',
            default => implode("\r\n", [
                'BEGIN:VCARD',
                'VERSION:3.0',
                'N:'.self::escaped($fields['name'], ';,\\').';;;;',
                'FN:'.self::escaped($fields['name'], ';,\\'),
                ...$fields['phone'] === '' ? [] : ['TEL:'.$fields['phone']],
                ...$fields['email'] === '' ? [] : ['EMAIL:'.$fields['email']],
                ...$fields['address'] === '' ? [] : ['URL:'.$fields['address']],
                'END:VCARD',
            ]),
        };
    }

    /** @return array<string, string> */
    public function toArray(): array
    {
        return ['as' => $this->as] + $this->fields;
    }

    private static function escaped(string $text, string $signs): string
    {
        return addcslashes(strtr($text, ["\r" => '', "\n" => ' ']), $signs);
    }
}
