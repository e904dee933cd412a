<?php

declare(strict_types=1);

namespace App\Exchange;

/**
 * What a whole shop consists of: every table is exported here, or left out here by name and with its reason. In the
 * order in which rows may be written, so that what they point at is there.
 */
final readonly class ShopTables
{
    /** Table to the columns that put its rows in order. */
    public const EXPORTED = [
        'users' => ['id'],
        'shop_settings' => ['id'],
        'machines' => ['id'],
        'former_tags' => ['id'],
        'spec_versions' => ['id'],
        'spec_sketches' => ['spec_version_id'],
        'controls' => ['id'],
        'instruments' => ['id'],
        'instrument_checks' => ['id'],
        'known_cables' => ['id'],
        'meter_readings' => ['id'],
        'visits' => ['id'],
        'control_jobs' => ['id'],
        'entries' => ['id'],
        'photos' => ['id'],
        'traces' => ['id'],
        'intakes' => ['id'],
        'complaints' => ['id'],
        'complaint_answers' => ['complaint_id', 'seq'],
        'cause_weights' => ['id'],
        'presences' => ['day', 'user_id'],
        'audits' => ['id'],
    ];

    /** Tables that came after shops had been exported without them: they are empty there. */
    public const SINCE = [
        'complaints', 'complaint_answers', 'cause_weights', 'shop_settings', 'known_cables', 'traces',
        'instrument_checks',
    ];

    public const LEFT_OUT = [
        'migrations' => 'which shape the tables have, which the new install knows itself',
        'device_people' => 'which browser knows whom: as good as half a password, and of this server alone',
        'gauge_bridges' => 'tokens of computers that speak to this server alone',
        'gauge_claims' => 'which gauge speaks where at this moment',
        'gauge_readings' => 'on their way: what was logged of them stands in the log',
        'gauge_recordings' => 'on their way: their points are curves, and what was kept of them stands in the log',
        'practice_attempts' => 'lessons on machines that are not there: no record of the shop',
        'practice_groups' => 'who learns together',
        'practice_group_people' => 'who learns together',
        'practice_tasks' => 'lessons that are set for them',
        'practice_lessons' => 'they go out and in as files, each by itself',
        'practice_deeds' => 'what was done in lessons',
        'sessions' => 'who is signed in where: as good as passwords, and of this server alone',
        'cache' => 'worked out anew',
        'cache_locks' => 'of this server alone',
        'imports' => 'work in progress on files that are not part of the shop',
        'queue_jobs' => 'work in progress',
        'failed_queue_jobs' => 'work that failed on this server',
    ];

    /** Columns that stay behind, with the reason; each is empty, or what is said, in the new install. */
    public const COLUMNS_LEFT_OUT = [
        'users.password' => 'no hash leaves the server; a lead makes new passwords',
        'users.pin' => 'no hash leaves the server',
        'users.pin_misses' => 'tries at this server',
        'controls.is_tagged' => 'made by the database from the summary',
        'machines.words' => 'made by the database from tag, plate, name and kind',
        'spec_versions.words' => 'made by the database from model, control, name and body',
        'users.calendar_digest' => 'a secret of this address',
    ];

    /** Columns that are pictures, and the folder each goes to. */
    public const PICTURES = ['photos' => ['jpeg', 'photos'], 'spec_sketches' => ['jpeg', 'sketches']];

    /** Columns that hold JSON, and are written as what they mean. */
    public const JSON = [
        'spec_versions' => ['body', 'run'],
        'controls' => ['run', 'summary'],
        'instruments' => ['body'],
        'instrument_checks' => ['body'],
        'known_cables' => ['body'],
        'control_jobs' => ['frame'],
        'entries' => ['body', 'by'],
        'audits' => ['detail'],
    ];

    /**
     * @param  list<string>  $columns
     * @return list<string> those that go into the file's lines
     */
    public static function columns(string $table, array $columns): array
    {
        $picture = self::PICTURES[$table][0] ?? null;

        return array_values(array_filter(
            $columns,
            static fn (string $one): bool => $one !== $picture && ! isset(self::COLUMNS_LEFT_OUT["{$table}.{$one}"]),
        ));
    }
}
