<?php

declare(strict_types=1);

namespace App\People;

use App\Models\Audit;
use App\Models\User;
use BackedEnum;
use Illuminate\Support\Facades\DB;
use VividPull\Core\Errors\Refused;
use VividPull\Core\Input\Node;
use VividPull\Core\Quantity\DecimalMark;
use VividPull\Core\Quantity\ForceStyle;
use VividPull\Core\Quantity\LengthStyle;
use VividPull\Core\Quantity\SpeedStyle;
use VividPull\Core\Quantity\Units;

/** Which units a person reads: what they chose, else what the shop reads, else as everything is kept. */
final readonly class ReadUnits
{
    /** What may be chosen, as it is called in both tables. */
    public const KINDS = [
        'lengths' => LengthStyle::class,
        'forces' => ForceStyle::class,
        'speeds' => SpeedStyle::class,
        'decimals' => DecimalMark::class,
    ];

    public static function of(User $user): Units
    {
        $own = self::chosen($user);
        $shop = in_array(null, $own, true) ? self::ofTheShop() : [];
        $get = static fn (string $kind): ?string => $own[$kind] ?? $shop[$kind] ?? null;

        return new Units(
            LengthStyle::tryFrom($get('lengths') ?? '') ?? LengthStyle::Millimetres,
            ForceStyle::tryFrom($get('forces') ?? '') ?? ForceStyle::Newtons,
            SpeedStyle::tryFrom($get('speeds') ?? '') ?? SpeedStyle::Kilometres,
            DecimalMark::tryFrom($get('decimals') ?? '') ?? DecimalMark::Point,
        );
    }

    /** @return array<string, string> */
    public static function wire(Units $units): array
    {
        return [
            'lengths' => $units->lengths->value,
            'forces' => $units->forces->value,
            'speeds' => $units->speeds->value,
            'decimals' => $units->decimals->value,
        ];
    }

    /** @return array<string, string|null> what a person chose; null for as the shop reads it */
    public static function chosen(User $user): array
    {
        return self::each(
            static fn (string $kind): ?string => $user->getAttribute($kind) instanceof BackedEnum
                ? (string) $user->getAttribute($kind)->value
                : null,
        );
    }

    /** @return array<string, string|null> */
    public static function ofTheShop(): array
    {
        $kept = DB::table('shop_settings')->whereIn('name', array_keys(self::KINDS))->pluck('value', 'name')->all();

        return self::each(static fn (string $kind): ?string => isset($kept[$kind]) ? (string) $kept[$kind] : null);
    }

    /** What is left out stays; null is as the shop reads it. */
    public static function choose(User $user, Node $node): void
    {
        $user->forceFill(self::read($node))->save();
    }

    /** What everybody reads who chose nothing; null is as everything is kept. */
    public static function chooseForTheShop(Node $node, User $by): void
    {
        $before = self::ofTheShop();
        DB::transaction(static function () use ($node, $by, $before): void {
            foreach (self::read($node) as $kind => $value) {
                $value === null
                    ? DB::table('shop_settings')->where('name', $kind)->delete()
                    : DB::table('shop_settings')->updateOrInsert(['name' => $kind], ['value' => $value]);
            }
            Audit::note(
                $by,
                'units of the shop',
                implode(', ', array_filter(self::ofTheShop(), is_string(...))),
                Audit::changes($before, self::ofTheShop()),
            );
        });
    }

    /** @return array<string, string|null> */
    private static function read(Node $node): array
    {
        $node->object([], array_keys(self::KINDS));
        $read = [];
        foreach (self::KINDS as $kind => $style) {
            if (is_array($node->value) && array_key_exists($kind, $node->value)) {
                $read[$kind] = $node->value[$kind] === null ? null : $node->at($kind)->enum($style)->value;
            }
        }

        return $read === []
            ? throw Refused::because('Say what is to be read otherwise: lengths, forces, speeds or decimals.')
            : $read;
    }

    /**
     * @param  callable(string): ?string  $chosen
     * @return array<string, string|null> by what may be chosen
     */
    private static function each(callable $chosen): array
    {
        $kinds = array_keys(self::KINDS);

        return array_combine($kinds, array_map($chosen, $kinds));
    }
}
