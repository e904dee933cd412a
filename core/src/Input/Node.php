<?php

declare(strict_types=1);

namespace VividPull\Core\Input;

use BackedEnum;
use JsonException;
use VividPull\Core\Errors\BadFile;
use VividPull\Core\Errors\CoreError;
use VividPull\Core\Errors\Quoted;
use VividPull\Core\Quantity\Figure;

/** One value of a JSON document with the path to it. Every way of reading it checks what it reads. */
final readonly class Node
{
    private const DEEPEST = 32;

    private function __construct(public mixed $value, public string $path) {}

    /** @throws BadFile If the text is not JSON. */
    public static function fromJson(string $json): self
    {
        try {
            return new self(json_decode($json, true, self::DEEPEST, JSON_THROW_ON_ERROR), '$');
        } catch (JsonException $e) {
            throw BadFile::at('$', 'this is not JSON: '.lcfirst($e->getMessage()).'.');
        }
    }

    public static function of(mixed $value, string $path = '$'): self
    {
        return new self($value, $path);
    }

    /**
     * This value as an object with these keys and no others.
     *
     * @param  list<string>  $required
     * @param  list<string>  $optional
     *
     * @throws BadFile If it is no object, lacks a required key, or has one nobody knows.
     */
    public function object(array $required, array $optional = []): self
    {
        $map = $this->map();
        foreach (array_keys($map) as $key) {
            if (! in_array((string) $key, $required, true) && ! in_array((string) $key, $optional, true)) {
                throw BadFile::at(
                    $this->path,
                    'the key '.Quoted::text((string) $key).' is not known here. Known are: '
                        .implode(', ', [...$required, ...$optional]).'.',
                );
            }
        }
        foreach ($required as $key) {
            if (! array_key_exists($key, $map)) {
                throw BadFile::at($this->path, "the key “{$key}” is missing.");
            }
        }

        return $this;
    }

    public function at(string $key): self
    {
        $map = $this->map();

        return new self($map[$key] ?? null, $this->path === '$' ? "$.{$key}" : "{$this->path}.{$key}");
    }

    /** Whether the key is there and not null. */
    public function has(string $key): bool
    {
        return isset($this->map()[$key]);
    }

    /** @throws BadFile If it is no text, is empty, or is longer than the limit. */
    public function string(int $longest = 200): string
    {
        if (! is_string($this->value)) {
            throw $this->wrong('text');
        }
        if (trim($this->value) === '') {
            throw BadFile::at($this->path, 'this is empty; write something.');
        }
        if (mb_strlen($this->value) > $longest) {
            throw BadFile::at(
                $this->path,
                'this is '.mb_strlen($this->value)." characters; at most {$longest} are kept.",
            );
        }

        return $this->value;
    }

    /**
     * What a person, a machine or a tool is called: words that look the same read the same, so no signs that turn the
     * direction of writing or cannot be seen.
     *
     * @throws BadFile If it is no such text.
     */
    public function name(int $longest = 60): string
    {
        $name = trim((string) preg_replace('/\s+/u', ' ', $this->string($longest)));

        return preg_match('/[\p{Cc}\p{Cf}\p{Co}\p{Cn}\x{2028}\x{2029}]/u', $name) === 1
            ? throw BadFile::at(
                $this->path,
                'a name holds letters, digits and signs that can be seen. Take the others out.',
            ) : $name;
    }

    /**
     * A short name that things are kept under. One made of digits only is refused, for PHP's arrays would take it for
     * a place and no longer for a name.
     *
     * @throws BadFile If it is no such name.
     */
    public function id(): string
    {
        $id = $this->string(40);
        if (ctype_digit($id)) {
            throw BadFile::at(
                $this->path,
                'an id of digits only is a number; begin '.Quoted::text($id).' with a letter.',
            );
        }

        return $id;
    }

    public function optionalString(string $key, int $longest = 200): ?string
    {
        return $this->has($key) ? $this->at($key)->string($longest) : null;
    }

    /**
     * @template E of BackedEnum
     *
     * @param  class-string<E>  $enum
     * @return E|null
     */
    public function optionalEnum(string $key, string $enum): ?BackedEnum
    {
        return $this->has($key) ? $this->at($key)->enum($enum) : null;
    }

    public function optionalNumber(string $key, float $least, float $most): ?float
    {
        return $this->has($key) ? $this->at($key)->number($least, $most) : null;
    }

    /** Whether the key is there and says yes. */
    public function flag(string $key): bool
    {
        return $this->has($key) && $this->at($key)->boolean();
    }

    /** @throws BadFile If it is no finite number between the limits, both included. */
    public function number(float $least, float $most): float
    {
        if (! is_int($this->value) && ! is_float($this->value)) {
            throw $this->wrong('a number');
        }
        $number = (float) $this->value;
        if (! is_finite($number) || $number < $least || $number > $most) {
            throw BadFile::at(
                $this->path,
                self::plain($number).' is not between '.self::plain($least).' and '.self::plain($most).'.',
            );
        }

        return $number;
    }

    /** @throws BadFile If it is no whole number between the limits. */
    public function integer(int $least, int $most): int
    {
        if (! is_int($this->value)) {
            throw $this->wrong('a whole number');
        }
        $this->number($least, $most);

        return $this->value;
    }

    /**
     * A day of the calendar, `2027-03-31`.
     *
     * @throws BadFile If there is no such day.
     */
    public function day(): string
    {
        $text = is_string($this->value) ? $this->value : throw $this->wrong('a day, such as 2027-03-31');
        if (
            preg_match('/^(\d{4})-(\d{2})-(\d{2})$/', $text, $part) !== 1
            || ! checkdate((int) $part[2], (int) $part[3], (int) $part[1])
        ) {
            throw BadFile::at($this->path, Quoted::text($text).' is no day, such as 2027-03-31.');
        }

        return $text;
    }

    public function boolean(): bool
    {
        return is_bool($this->value) ? $this->value : throw $this->wrong('true or false');
    }

    /**
     * @template E of BackedEnum
     *
     * @param  class-string<E>  $enum
     * @return E
     *
     * @throws BadFile If it is none of the enum's words.
     */
    public function enum(string $enum): BackedEnum
    {
        $case = is_string($this->value) ? $enum::tryFrom($this->value) : null;
        if ($case === null) {
            $words = implode(', ', array_map(static fn (BackedEnum $c): string => (string) $c->value, $enum::cases()));
            // A word is one with or without the marks a file has around it.
            $said = is_string($this->value) ? Quoted::text($this->value) : $this->quoted();
            throw BadFile::at($this->path, "{$said} is not one of: {$words}.");
        }

        return $case;
    }

    /** @return list<self> */
    public function items(int $most = 10_000): array
    {
        if (! is_array($this->value) || ! array_is_list($this->value)) {
            throw $this->wrong('a list');
        }
        if (count($this->value) > $most) {
            throw BadFile::at($this->path, 'this list holds '.count($this->value)." things; at most {$most} are read.");
        }

        return array_map(
            fn (mixed $item, int $i): self => new self($item, "{$this->path}[{$i}]"),
            $this->value,
            array_keys($this->value),
        );
    }

    /** @return array<string, self> */
    public function entries(): array
    {
        $nodes = [];
        foreach (array_keys($this->map()) as $key) {
            if (is_int($key)) {
                throw BadFile::at($this->path, "the key “{$key}” is a number; names begin with a letter.");
            }
            $nodes[$key] = $this->at($key);
        }

        return $nodes;
    }

    /**
     * What the callback makes of this node, its refusals told with this path.
     *
     * @template T
     *
     * @param  callable(): T  $make
     * @return T
     */
    public function making(callable $make): mixed
    {
        try {
            return $make();
        } catch (BadFile $e) {
            throw $e;
        } catch (CoreError $e) {
            throw BadFile::at($this->path, $e->getMessage());
        }
    }

    /** @return array<array-key, mixed> */
    private function map(): array
    {
        if (! is_array($this->value) || ($this->value !== [] && array_is_list($this->value))) {
            throw $this->wrong('an object');
        }

        return $this->value;
    }

    private function wrong(string $wanted): BadFile
    {
        return BadFile::at($this->path, $this->quoted()." is not {$wanted}.");
    }

    private function quoted(): string
    {
        return Quoted::text((string) json_encode(
            $this->value,
            JSON_UNESCAPED_UNICODE | JSON_PARTIAL_OUTPUT_ON_ERROR | JSON_UNESCAPED_SLASHES,
        ));
    }

    private static function plain(float $number): string
    {
        return Figure::number($number, 4)->bare();
    }
}
