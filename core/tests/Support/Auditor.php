<?php

declare(strict_types=1);

namespace VividPull\Core\Tests\Support;

/**
 * A second reading of a log, by somebody who knows the trade and nothing of how the core works: what speaks against
 * *fit for use*.
 *
 * It takes what was sent, in its order, and holds it against lists written here by hand: what must be said before hands
 * go near, what must be whole, what must be tried after the last turn and with which answer. Common practice, no
 * source; the limit of the blade is 16 CFR 1205.5(a)(1). It objects only where nobody in the trade would sign; it never
 * says that something is fit.
 *
 * @phpstan-type Written array{id: string, kind: string, body: array<string, mixed>, by: string, after: ?string}
 */
final class Auditor
{
    private const SAFE = [
        'clutch_lever' => ['engine_off', 'neutral', 'exhaust_cool', 'wire_clipped'],
        'automatic_clutch' => ['engine_off', 'neutral', 'exhaust_cool'],
        'hydraulic_clutch' => ['engine_off', 'neutral', 'covered'],
        'twist_grip' => ['engine_off', 'parked', 'cool', 'bars_free'],
        'trigger_throttle' => ['engine_off', 'cool', 'head_clear'],
        'pedal_throttle' => ['key_out', 'wheels_free', 'cool'],
        'sliding_drive' => ['engine_off', 'clear'],
        'engage_by_pull' => ['engine_off', 'neutral', 'clear'],
        'release_by_pull' => ['engine_off', 'neutral', 'clear'],
        'bail' => ['engine_off', 'clear', 'tension'],
        'speed_selector' => ['engine_off', 'neutral', 'clear'],
        'mode_cables' => ['engine_off', 'stands', 'unloaded'],
        'hook_control' => ['engine_off', 'neutral', 'clear'],
        'brake_pull' => ['engine_off', 'neutral', 'clear'],
        'other_control' => ['engine_off', 'neutral', 'clear'],
    ];

    /** What a look must find whole, or left with its reason; a wire that is damaged is never left. */
    private const WHOLE = [
        'clutch_lever' => ['wire', 'conduit', 'perch', 'arm'],
        'automatic_clutch' => ['lever', 'spring', 'oil'],
        'hydraulic_clutch' => ['level', 'line', 'lever'],
        'twist_grip' => ['wire', 'conduit', 'grip', 'spring'],
        'trigger_throttle' => ['wire', 'conduit', 'bracket', 'trigger'],
        'pedal_throttle' => ['wire', 'conduit', 'pedal', 'governor'],
        'sliding_drive' => ['wire', 'conduit', 'handle', 'belt'],
        'engage_by_pull' => ['wire', 'conduit', 'handle', 'end'],
        'release_by_pull' => ['wire', 'conduit', 'handle', 'end'],
        'bail' => ['wire', 'conduit', 'peg', 'brake'],
        'speed_selector' => ['wire', 'bracket', 'disc'],
        'mode_cables' => ['wire', 'arm', 'dash'],
        'hook_control' => ['wire', 'conduit', 'spring', 'belt'],
        'brake_pull' => ['wire', 'conduit', 'shoes', 'arm'],
        'other_control' => ['wire', 'conduit', 'handle', 'end'],
    ];

    /** What is tried after the last turn, at rest first and then running, and the only answers that will do. */
    private const TRIED = [
        'clutch_lever' => [
            'arm_loose' => ['yes', 'not_here'],
            'wiggle_still' => ['yes', 'not_here'],
            'no_creep' => ['yes'],
            'no_slip' => ['holds'],
            'bite' => ['middle'],
        ],
        'automatic_clutch' => ['still_at_idle' => ['yes'], 'takes_hold' => ['smoothly']],
        'hydraulic_clutch' => ['lever_feel' => ['firm'], 'no_creep' => ['yes'], 'no_slip' => ['holds']],
        'twist_grip' => [
            'snap_shut straight' => ['yes'],
            'snap_shut left' => ['yes'],
            'snap_shut right' => ['yes'],
            'wire_in_groove' => ['yes'],
            'idle_steady' => ['yes'],
        ],
        'trigger_throttle' => [
            'wide_open' => ['yes'],
            'snap_shut' => ['yes'],
            'end_home' => ['yes'],
            'idle_still' => ['yes'],
        ],
        'pedal_throttle' => ['wide_open' => ['yes'], 'snap_shut' => ['yes'], 'take_off' => ['smooth']],
        'sliding_drive' => [
            'rolls_back' => ['yes'],
            'handle_returns' => ['yes'],
            'nothing_at_rest' => ['yes'],
            'on_grass' => ['well'],
        ],
        'engage_by_pull' => [
            'springs_back' => ['yes'],
            'nothing_at_rest' => ['yes'],
            'light_load' => ['early'],
            'under_load' => ['pulls'],
        ],
        'release_by_pull' => [
            'springs_back' => ['yes'],
            'stands_pulled' => ['yes'],
            'drives_released' => ['smoothly'],
            'under_load' => ['pulls'],
        ],
        'bail' => [
            'brake_off' => ['yes'],
            'contact_open' => ['yes', 'not_here'],
            'brake_on' => ['yes'],
            'stops' => ['engine_stops', 'blade_stops'],
        ],
        'speed_selector' => ['neutral_still' => ['yes'], 'order' => ['yes'], 'auger_still' => ['yes']],
        'mode_cables' => ['park_holds' => ['yes'], 'dash_agrees' => ['yes', 'not_here'], 'unlock' => ['cleanly']],
        'hook_control' => ['springs_back' => ['yes'], 'nothing_at_rest' => ['yes'], 'full_drive' => ['yes']],
        'brake_pull' => ['no_drag' => ['yes'], 'springs_back' => ['yes'], 'holds' => ['before_end']],
        'other_control' => ['springs_back' => ['yes'], 'nothing_at_rest' => ['yes'], 'works_fully' => ['yes']],
    ];

    /** What each setting must do. */
    private const DOES = [
        'sliding_drive' => ['drive' => 'right'],
        'speed_selector' => [
            'r2' => 'reverse', 'r1' => 'reverse', 'f1' => 'forward', 'f2' => 'forward', 'f3' => 'forward',
            'f4' => 'forward', 'f5' => 'forward', 'f6' => 'forward',
        ],
        'mode_cables' => ['park' => 'right', 'two_wheel' => 'right', 'turf' => 'right'],
        'hook_control' => ['drive' => 'right'],
    ];

    /** What must be back before anything runs, and before it is signed. */
    private const BACK = [
        'clutch_lever' => ['refitted', 'slots_apart'],
        'automatic_clutch' => ['refitted'],
        'hydraulic_clutch' => ['refitted'],
        'twist_grip' => ['boots'],
        'trigger_throttle' => ['cable_cover', 'guard'],
        'pedal_throttle' => ['floor', 'wheels_down'],
        'sliding_drive' => ['guards'],
        'engage_by_pull' => ['guards'],
        'release_by_pull' => ['guards'],
        'bail' => ['guards', 'spark_lead'],
        'speed_selector' => ['clamp_off', 'guards'],
        'mode_cables' => ['guards'],
        'hook_control' => ['guards'],
        'brake_pull' => ['refitted'],
        'other_control' => ['guards'],
    ];

    /** What is tried with the engine running or the machine moving: only once everything is back. */
    private const RUNNING = [
        'clutch_lever' => ['no_creep', 'no_slip', 'bite'], 'automatic_clutch' => ['still_at_idle', 'takes_hold'],
        'hydraulic_clutch' => ['no_creep', 'no_slip'], 'trigger_throttle' => ['idle_still'],
        'pedal_throttle' => ['take_off'], 'sliding_drive' => ['nothing_at_rest', 'on_grass'],
        'engage_by_pull' => ['nothing_at_rest', 'light_load', 'under_load'],
        'release_by_pull' => ['stands_pulled', 'drives_released', 'under_load'], 'bail' => ['stops'],
        'speed_selector' => ['neutral_still', 'order', 'auger_still'],
        'hook_control' => ['nothing_at_rest', 'full_drive'], 'brake_pull' => ['holds'],
        'other_control' => ['nothing_at_rest', 'works_fully'],
    ];

    /** Whose settings are tried by hand, with nothing running. */
    private const AT_REST = ['mode_cables'];

    /** What is looked at or tried by hand, and with which nothing is run where it is not as it should be. */
    private const NEVER_RUN = ['wire', 'line', 'snap_shut', 'wire_in_groove', 'end_home', 'brake_on', 'park_holds'];

    private const POSES = ['twist_grip' => ['straight', 'left', 'right']];

    /** What a rider may have as they like it, where it is left outside its band by choice. */
    private const TASTE = ['clutch_lever' => ['bite: early', 'bite: late'], 'engage_by_pull' => ['light_load: late']];

    /** Never left outside by choice. */
    private const NEVER = ['twist_grip', 'trigger_throttle', 'pedal_throttle'];

    private const BLADE_S = 3.0;

    /** What is never left as it is once somebody felt it. */
    private const HURTS = [
        'stays_open', 'idle_rises', 'creeps_in', 'creeps_out', 'runs_on', 'does_not_hold', 'wrong_direction',
    ];

    /** Whatever changes how the control stands: what was read and tried before it tells nothing of it now. */
    private const CHANGES = [
        'move', 'put_right', 'nothing_found', 'part', 'adjuster', 'hand', 'step', 'replacing',
    ];

    /**
     * @param  list<Written>  $written
     * @param  array<string, array{float, float}>  $bands  of free play, in mm, by the point it is read at; none where
     *     none is read
     * @param  array<string, string>  $state  heat and wheels the figure is for; none where it does not say
     * @return list<string> what speaks against it
     */
    public static function objections(string $family, array $written, array $bands, array $state): array
    {
        $written = self::known($family, $written);
        $log = self::asItStands($written);
        $said = array_merge(...array_map(static fn (array $one): array => match ($one['kind']) {
            'confirmed' => [(string) $one['body']['key']],
            'all_confirmed' => array_map(strval(...), (array) $one['body']['keys']),
            default => [],
        }, $log));
        $all = [];
        foreach (array_diff([...self::SAFE[$family], ...self::BACK[$family], 'restored'], $said) as $key) {
            $all[] = "{$key} was never said";
        }

        return [
            ...$all,
            ...self::seen($family, $log),
            ...self::order($family, $log, $written),
            ...self::since(
                self::readAsItStood($family, self::sinceChange($log), $log, $state),
                self::tightened($log),
                $family,
                $bands,
                $state,
            ),
        ];
    }

    /**
     * What speaks against leaving it outside its band by choice: that is a matter of taste, never of safety.
     *
     * @param  list<Written>  $written
     * @param  array<string, array{float, float}>  $bands
     * @param  array<string, string>  $state
     * @return list<string>
     */
    public static function againstChoice(string $family, array $written, array $bands, array $state): array
    {
        $anyPlay = array_map(static fn (): array => [1e-6, INF], $bands);
        $all = array_values(array_diff(
            self::objections($family, $written, $anyPlay, $state),
            self::TASTE[$family] ?? [],
        ));
        $chosen = array_filter(
            self::sinceChange(self::asItStands(self::known($family, $written))),
            static fn (array $one): bool => $one['kind'] === 'by_choice',
        );

        return [
            ...$all,
            ...($chosen === [] ? ['nobody chose it since'] : []),
            ...(in_array($family, self::NEVER, true) ? ['a throttle is never left so'] : []),
        ];
    }

    /**
     * What speaks against signing a check: play read and inside, and nothing else said of the control.
     *
     * @param  list<Written>  $written
     * @param  array<string, array{float, float}>  $bands
     * @return list<string>
     */
    public static function againstCheck(string $family, array $written, array $bands): array
    {
        $log = self::asItStands(self::known($family, $written));
        $all = [];
        $safe = [];
        foreach ($log as $one) {
            $key = (string) ($one['body']['key'] ?? '');
            $safe = [...$safe, ...match ($one['kind']) {
                'confirmed' => [$key], 'all_confirmed' => (array) $one['body']['keys'], default => [],
            }];
            $all = [...$all, ...match (true) {
                in_array($one['kind'], [...self::CHANGES, 'tag'], true) => [
                    "{$one['id']} {$one['kind']}: more was done than reading",
                ],
                default => [],
            }];
        }
        foreach (array_diff(self::SAFE[$family], $safe) as $key) {
            $all[] = "{$key} was never said";
        }
        foreach ($bands as $point => $band) {
            $all = [...$all, ...self::play($log, $point, self::POSES[$family] ?? ['straight'], $band)];
        }

        return $all;
    }

    /**
     * Without what says that all is well by somebody who had not seen what another one did meanwhile: nobody knows
     * which came first.
     *
     * @param  list<Written>  $written
     * @return list<Written>
     */
    private static function known(string $family, array $written): array
    {
        $places = array_flip(array_column($written, 'id'));
        $counting = $lost = [];
        foreach (self::asItStands($written) as $one) {
            $from = $places[$one['after'] ?? ''] ?? null;
            $unseen = $from === null
                ? []
                : array_filter(
                    $counting,
                    static fn (array $other): bool => $other['by'] !== $one['by'] && $places[$other['id']] > $from,
                );
            $tightened = self::tightened($counting);
            foreach ($unseen as $other) {
                if (self::isOvertaken($family, $one, $other, in_array($other['id'], $tightened, true))) {
                    $lost[$one['id']] = true;
                }
            }
            // A lock that does not count turned nothing that others would not know of.
            $counting = isset($lost[$one['id']]) ? $counting : [...$counting, $one];
        }

        return array_values(array_filter($written, static fn (array $one): bool => ! isset($lost[$one['id']])));
    }

    /**
     * @param  Written  $one
     * @param  Written  $other  what somebody else did before it was written
     */
    private static function isOvertaken(string $family, array $one, array $other, bool $isTightened): bool
    {
        $changes = self::isChange($other);
        $opens = $other['kind'] === 'cover' && $other['body']['off'] === true;
        $key = (string) ($one['body']['key'] ?? '');
        $asks = static fn (array $entry): array => [
            $entry['body']['key'] ?? null,
            $entry['body']['pose'] ?? null,
            $entry['body']['setting'] ?? null,
        ];
        $says = $other['kind'] === $one['kind']
            && $asks($other) === $asks($one)
            && ! self::passes($family, $other['kind'], $other['body']);

        return match ($one['kind']) {
            'check',
            'outcome' => self::passes($family, $one['kind'], $one['body'])
                && ($changes
                    || $isTightened
                    || $says
                    || ($opens
                        && (($one['kind'] === 'outcome' && ! in_array($family, self::AT_REST, true))
                            || in_array($key, self::RUNNING[$family] ?? [], true)))),
            'measure', 'reading' => $changes || $isTightened || ($opens && $key === 'blade_stop'),
            'inspected' => $one['body']['finding'] !== 'fault'
                && $other['kind'] === 'inspected'
                && $other['body']['key'] === $key
                && $other['body']['finding'] === 'fault',
            'confirmed' => $key === 'locked'
                ? $other['kind'] === 'move' && $other['body']['adjuster'] === $one['body']['adjuster']
                : in_array($key, [...self::BACK[$family], 'restored'], true) && ($changes || $opens),
            'by_choice' => $changes,
            'cover' => $one['body']['off'] === false && $opens,
            default => false,
        };
    }

    /**
     * A replacement that was begun, or of which only the old route was written down, changed nothing yet.
     *
     * @param  Written  $one
     */
    private static function isChange(array $one): bool
    {
        return in_array($one['kind'], self::CHANGES, true)
            && ! in_array($one['body']['key'] ?? '', ['begin', 'note'], true);
    }

    /**
     * What was turned is locked after it was turned; tools are counted last; and nothing ran before all was back, as it
     * was said when it ran.
     *
     * @param  list<Written>  $log
     * @param  list<Written>  $written
     * @return list<string>
     */
    private static function order(string $family, array $log, array $written): array
    {
        $last = ['restored' => 0, 'change' => -1];
        $loose = [];
        foreach ($log as $n => $one) {
            $key = (string) ($one['body']['key'] ?? '');
            $loose = match (true) {
                $one['kind'] === 'move' => [(string) $one['body']['adjuster'] => true] + $loose,
                $one['kind'] === 'adjuster' => [(string) $one['body']['adjuster']['id'] => true]
                    + array_diff_key($loose, [$one['body']['in_place_of'] ?? '' => true]),
                $one['kind'] === 'confirmed' && $key === 'locked' => array_diff_key(
                    $loose,
                    [(string) $one['body']['adjuster'] => true],
                ),
                default => $loose,
            };
            $isChange = self::isChange($one) || ($one['kind'] === 'cover' && $one['body']['off'] === true);
            $last = [
                'change' => $isChange ? $n : $last['change'],
                'restored' => $one['kind'] === 'confirmed' && $key === 'restored' ? $n : $last['restored'],
            ];
        }

        return [
            ...array_map(
                static fn (string $adjuster): string => "{$adjuster} was not locked since",
                array_keys($loose),
            ),
            ...($last['restored'] < $last['change'] ? ['tools were counted before the last turn'] : []),
            ...self::ranOpen($family, $written),
            ...self::ranUnfit($family, $written),
        ];
    }

    /**
     * @param  list<Written>  $written
     * @return list<string>
     */
    private static function ranOpen(string $family, array $written): array
    {
        [$off, $back, $open, $touched] = [[], [], [], false];
        $gone = array_map(
            static fn (array $one): mixed => $one['body']['entry'],
            array_filter($written, static fn (array $one): bool => $one['kind'] === 'void'),
        );
        foreach ($written as $one) {
            $key = (string) ($one['body']['key'] ?? '');
            if (
                in_array($one['id'], $gone, true)
                && in_array($one['kind'], ['cover', 'confirmed', ...self::CHANGES], true)
            ) {
                continue;
            }
            if ($one['kind'] === 'cover') {
                $off[(string) $one['body']['adjuster']] = $one['body']['off'] === true;
                $back = $one['body']['off'] === true ? [] : $back;
            } elseif (self::isChange($one)) {
                [$back, $touched] = [[], true];
            } elseif ($one['kind'] === 'confirmed') {
                $back[$key] = true;
            } elseif ($one['kind'] === 'check' && in_array($key, self::RUNNING[$family] ?? [], true)) {
                $open[$key] = array_filter($off) !== []
                    || ($touched && array_diff(self::BACK[$family], array_keys($back)) !== []);
            }
        }

        return array_map(
            static fn (string $key): string => "{$key} ran before all was back",
            array_keys(array_filter($open)),
        );
    }

    /**
     * What was found with it at rest stands against running it, as it was said when it ran: a damaged wire, a throttle
     * that stays open, a brake that stays off.
     *
     * @param  list<Written>  $written
     * @return list<string>
     */
    private static function ranUnfit(string $family, array $written): array
    {
        [$said, $all] = [[], []];
        foreach ($written as $one) {
            $key = (string) ($one['body']['key'] ?? '');
            if ($one['kind'] === 'void') {
                unset($said[(string) $one['body']['entry']]);
            }
            $runs = ($one['kind'] === 'check' && in_array($key, [...self::RUNNING[$family] ?? [], 'idle_steady'], true))
                || ($one['kind'] === 'outcome' && ! in_array($family, self::AT_REST, true));
            $against = $runs ? self::unfit($family, $said) : [];
            if ($against !== []) {
                $all[] = "{$one['id']} {$key} ran with ".implode(' and ', $against);
            }
            $said[$one['id']] = $one;
        }

        return $all;
    }

    /**
     * What was tried is to be tried anew after a change; a wire that was damaged stays so until another was looked at.
     *
     * @param  array<string, Written>  $said
     * @return list<string>
     */
    private static function unfit(string $family, array $said): array
    {
        $against = $faults = [];
        foreach ($said as $one) {
            $key = (string) ($one['body']['key'] ?? '');
            $isTold = in_array($one['kind'], ['inspected', 'check'], true) && in_array($key, self::NEVER_RUN, true);
            $is = $key.($one['body']['pose'] ?? '');
            $against = match (true) {
                $isTold
                    && ($one['body']['finding'] ?? '') !== 'noted'
                    && ! self::passes($family, $one['kind'], $one['body']) => [$is => true] + $against,
                $isTold => array_diff_key($against, [$is => true]),
                $one['kind'] === 'part' && $one['body']['part'] === 'cable' => [],
                self::isChange($one)
                    || ($one['kind'] === 'inspected'
                        && $one['body']['finding'] === 'sound'
                        && isset($faults[$key])) => array_intersect_key($against, ['wire' => true, 'line' => true]),
                default => $against,
            };
            $faults = $one['kind'] === 'inspected' && $one['body']['finding'] === 'fault'
                ? [$key => true] + $faults
                : $faults;
        }

        return array_keys($against);
    }

    /**
     * Whether this is what an honest hand says of a machine that is right.
     *
     * @param  array<string, mixed>  $body
     */
    public static function passes(string $family, string $kind, array $body): bool
    {
        return match ($kind) {
            'check' => $body['answer'] === 'gone'
                || in_array(
                    $body['answer'],
                    self::TRIED[$family][$body['key'].(isset($body['pose']) ? " {$body['pose']}" : '')] ?? [],
                    true,
                ),
            'outcome' => (self::DOES[$family][(string) $body['setting']] ?? null) === $body['saw'],
            'inspected' => $body['finding'] === 'sound',
            'condition' => ($body['engine'] ?? 'cold') === 'cold',
            default => true,
        };
    }

    /**
     * What counts: nothing that was taken back, and what was put right as it was put right.
     *
     * @param  list<Written>  $written
     * @return list<Written>
     */
    private static function asItStands(array $written): array
    {
        $gone = [];
        $became = [];
        foreach ($written as $one) {
            if ($one['kind'] === 'void') {
                $gone[(string) $one['body']['entry']] = true;
            }
        }
        foreach ($written as $one) {
            if ($one['kind'] === 'amend' && ! isset($gone[$one['id']])) {
                $became[(string) $one['body']['entry']] = $one['body']['body'];
            }
        }
        $log = [];
        foreach ($written as $one) {
            if (! isset($gone[$one['id']])) {
                $log[] = ['body' => (array) ($became[$one['id']] ?? $one['body'])] + $one;
            }
        }

        return $log;
    }

    /**
     * @param  list<Written>  $log
     * @return list<string>
     */
    private static function seen(string $family, array $log): array
    {
        $found = [];
        $tag = null;
        $off = [];
        foreach ($log as $one) {
            $body = $one['body'];
            match ($one['kind']) {
                'inspected' => $found[(string) $body['key']] = (string) $body['finding'],
                'tag' => $tag = (string) $body['reason'],
                'untag' => $tag = null,
                'cover' => $off[(string) $body['adjuster']] = (bool) $body['off'],
                default => null,
            };
        }
        $all = [...($tag === null ? [] : ['a tag hangs on it']), ...self::broughtInFor($log)];
        foreach (self::WHOLE[$family] as $part) {
            match ($found[$part] ?? null) {
                null => $all[] = "{$part} was not looked at",
                'fault' => $all[] = "{$part} is at fault",
                default => null,
            };
        }
        foreach (array_keys(array_filter($off)) as $adjuster) {
            $all[] = "the cover over {$adjuster} is off";
        }

        return $all;
    }

    /**
     * What somebody felt is tried again after the last change, and after they said so; what may hurt somebody is gone
     * then and not left.
     *
     * @param  list<Written>  $log
     * @return list<string>
     */
    private static function broughtInFor(array $log): array
    {
        $felt = [];
        $changes = array_column(self::sinceChange($log), 'id');
        foreach ($log as $one) {
            $felt = match ($one['kind']) {
                'complaint' => array_fill_keys((array) $one['body']['symptoms'], 'not tried since') + $felt,
                'check' => array_replace(
                    $felt,
                    array_intersect_key(
                        [
                            substr((string) $one['body']['key'], 5) => in_array($one['id'], $changes, true)
                                ? (string) $one['body']['answer']
                                : 'not tried since',
                        ],
                        $felt,
                    ),
                ),
                default => $felt,
            };
        }
        foreach ($felt as $symptom => $answer) {
            if (
                $answer === 'gone'
                || (in_array($answer, ['left', 'not_here'], true) && ! in_array($symptom, self::HURTS, true))
            ) {
                unset($felt[$symptom]);
            }
        }

        return array_map(
            static fn (string $symptom, string $answer): string => "{$symptom}: {$answer}",
            array_keys($felt),
            array_values($felt),
        );
    }

    /**
     * @param  list<Written>  $log
     * @return list<Written>
     */
    private static function sinceChange(array $log): array
    {
        [$from, $faults] = [0, []];
        foreach ($log as $n => $one) {
            $part = $one['kind'] === 'inspected' ? (string) $one['body']['key'] : null;
            $isMended = $part !== null && isset($faults[$part]) && $one['body']['finding'] === 'sound';
            if ($part !== null) {
                $faults = array_diff_key($faults, [$part => 1])
                    + ($one['body']['finding'] === 'fault' ? [$part => 1] : []);
            }
            if ($isMended || self::isChange($one)) {
                $from = $n + 1;
            }
        }

        return array_slice($log, $from);
    }

    /**
     * @param  list<Written>  $log
     * @return list<string> where something that was loose was locked: that turns it a little
     */
    private static function tightened(array $log): array
    {
        [$tight, $all] = [[], []];
        foreach ($log as $one) {
            $adjuster = (string) ($one['body']['adjuster'] ?? '');
            if ($one['kind'] === 'move') {
                unset($tight[$adjuster]);
            } elseif ($one['kind'] === 'confirmed' && $one['body']['key'] === 'locked' && ! isset($tight[$adjuster])) {
                $tight[$adjuster] = true;
                $all[] = $one['id'];
            }
        }

        return $all;
    }

    /**
     * Without what was read after a run with nobody saying how hot it was then, where the figure knows heat.
     *
     * @param  list<Written>  $since
     * @param  list<Written>  $log
     * @param  array<string, string>  $state
     * @return list<Written>
     */
    private static function readAsItStood(string $family, array $since, array $log, array $state): array
    {
        [$ran, $lost] = [false, []];
        foreach ($log as $one) {
            $key = (string) ($one['body']['key'] ?? '');
            $ran = match ($one['kind']) {
                'check' => $ran || in_array($key, [...self::RUNNING[$family] ?? [], 'idle_steady'], true),
                'outcome' => $ran
                    || (isset(self::DOES[$family][$one['body']['setting']])
                        && ! in_array($family, self::AT_REST, true)),
                'measure' => $ran || in_array($key, ['blade_stop', 'ground_speed'], true),
                'condition' => $ran && ! isset($one['body']['engine']),
                default => $ran,
            };
            if ($ran && $one['kind'] === 'reading') {
                $lost[$one['id']] = true;
            }
        }

        return isset($state['engine']) || $family === 'clutch_lever'
            ? array_values(array_filter($since, static fn (array $one): bool => ! isset($lost[$one['id']])))
            : $since;
    }

    /**
     * @param  list<Written>  $since
     * @param  list<string>  $tightened
     * @param  array<string, array{float, float}>  $bands
     * @param  array<string, string>  $state
     * @return list<string>
     */
    private static function since(array $since, array $tightened, string $family, array $bands, array $state): array
    {
        [$answers, $does, $blade] = [[], [], []];
        foreach ($since as $one) {
            $body = $one['body'];
            if (in_array($one['id'], $tightened, true)) {
                [$answers, $does, $blade] = [[], [], []];
            }
            match ($one['kind']) {
                'check' => $answers[$body['key'].(isset($body['pose']) ? " {$body['pose']}" : '')] = (string) $body['answer'],
                'outcome' => $does[(string) $body['setting']] = (string) $body['saw'],
                'measure' => $body['key'] === 'blade_stop' ? $blade[] = $body['value'] : null,
                default => null,
            };
        }
        $all = [];
        foreach (self::TRIED[$family] as $key => $passes) {
            if (! in_array($answers[$key] ?? null, $passes, true)) {
                $all[] = "{$key}: ".($answers[$key] ?? 'not tried since');
            }
        }
        foreach (self::DOES[$family] ?? [] as $setting => $wanted) {
            if (($does[$setting] ?? null) !== $wanted) {
                $all[] = "{$setting} does: ".($does[$setting] ?? 'not tried since');
            }
        }
        if ($family === 'bail' && ($blade === [] || max($blade) > self::BLADE_S)) {
            $all[] = 'the blade: '.implode(', ', $blade).' s';
        }

        $counting = array_values(array_filter(
            $since,
            static fn (array $one): bool => $one['kind'] !== 'reading'
                || array_diff_assoc($state, $one['body'] + $state) === [],
        ));
        if ($family === 'clutch_lever' && ! isset($state['engine'])) {
            // Heat moves its play: where the book names none, what was read last is held against what was read in the
            // same.
            $heats = array_filter(
                array_map(
                    static fn (array $one): ?string => $one['kind'] === 'reading' ? $one['body']['engine'] ?? '' : null,
                    $counting,
                ),
                is_string(...),
            );
            $counting = array_values(array_filter(
                $counting,
                static fn (array $one): bool => $one['kind'] !== 'reading'
                    || ($one['body']['engine'] ?? '') === end($heats),
            ));
        }
        foreach ($bands as $point => $band) {
            $all = [...$all, ...self::play($counting, $point, self::POSES[$family] ?? ['straight'], $band)];
        }

        return $all;
    }

    /**
     * The mean; of four and more the middle one, for one that all others contradict was misread.
     *
     * @param  list<float>  $values
     */
    private static function middle(array $values): ?float
    {
        if ($values === []) {
            return null;
        }
        sort($values);
        $middle = intdiv(count($values), 2);

        return count($values) < 4
            ? array_sum($values) / count($values)
            : (count($values) % 2 === 1 ? $values[$middle] : ($values[$middle - 1] + $values[$middle]) / 2);
    }

    /**
     * Read after the last turn and after the last lock, in every pose, and inside: by the middle of what was read.
     *
     * @param  list<Written>  $since
     * @param  list<string>  $poses
     * @param  array{float, float}  $band
     * @return list<string>
     */
    private static function play(array $since, string $point, array $poses, array $band): array
    {
        $read = [];
        $stoodBy = array_map(
            static fn (array $one): mixed => $one['body']['reading'],
            array_filter($since, static fn (array $one): bool => $one['kind'] === 'upheld'),
        );
        foreach ($since as $one) {
            if ($one['kind'] === 'confirmed' && $one['body']['key'] === 'locked') {
                $read = [];
            } elseif ($one['kind'] === 'reading' && $one['body']['point'] === $point) {
                if (in_array($one['id'], $stoodBy, true)) {
                    // Asked about and stood by: it is so now, whatever was read before.
                    unset($read[(string) ($one['body']['pose'] ?? 'straight')]);
                }
                $read[(string) ($one['body']['pose'] ?? 'straight')][] = (float) $one['body']['mm'];
            }
        }
        $all = [];
        foreach ($poses as $pose) {
            $values = $read[$pose] ?? [];
            $mean = self::middle($values);
            if ($mean === null || $mean <= 0.0 || $mean < $band[0] || $mean > $band[1]) {
                $all[] = "{$point}, {$pose} read: ".implode(', ', $values);
            }
        }

        return $all;
    }
}
