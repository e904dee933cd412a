<?php

declare(strict_types=1);

namespace App\Exchange;

use App\Library\CauseCounts;
use App\Models\Audit;
use App\Models\User;
use stdClass;
use VividPull\Core\Diagnosis\Causes;
use VividPull\Core\Errors\Refused;
use VividPull\Core\Input\Node;
use VividPull\Core\Spec\FamilyKey;
use VividPull\Core\Wire\DiagnosisCodec;

/**
 * How often another workshop found each cause. Of each cause it takes the place of what was taken in before, so the
 * same file again changes nothing.
 */
final class CauseImport implements LineImport
{
    public const FORMAT = 'vivid-pull/causes@1';

    public const COLUMNS = ['family', 'cause', 'label', 'jobs'];

    /** @var array<string, true> */
    private array $seen = [];

    /** @var array<string, CauseCounts> */
    private array $counts = [];

    public function __construct(private readonly User $by) {}

    public function format(): string
    {
        return self::FORMAT;
    }

    public function key(): string
    {
        return 'causes';
    }

    public function columns(): array
    {
        return self::COLUMNS;
    }

    public function consider(array $row): ?object
    {
        $jobs = $row['jobs'] ?? null;
        $node = Node::of(
            ['jobs' => is_string($jobs) && ctype_digit(trim($jobs)) ? (int) trim($jobs) : $jobs] + $row,
        )->object(['family', 'cause', 'jobs'], ['label']);
        $family = $node->at('family')->enum(FamilyKey::class);
        $cause = DiagnosisCodec::cause($node->at('cause'), Causes::of($family));
        $found = $node->at('jobs')->integer(0, DiagnosisCodec::MOST_COUNTED);
        $name = "{$family->value} {$cause}";
        isset($this->seen[$name])
            ? throw Refused::because("{$name} stands in the file twice.")
            : $this->seen[$name] = true;
        $counts = $this->counts[$family->value] ??= CauseCounts::of($family);

        return $counts->elsewhere($cause) === $found
            ? null
            : (object) ['family' => $family, 'cause' => $cause, 'jobs' => $found];
    }

    public function write(array $taken): void
    {
        foreach ($taken as $one) {
            assert($one instanceof stdClass && $one->family instanceof FamilyKey);
            CauseCounts::fromElsewhere($one->family, (string) $one->cause, (int) $one->jobs);
        }
        if ($taken !== []) {
            Audit::note($this->by, 'causes imported', count($taken).' counts of another workshop');
        }
    }

    public function finish(): void {}
}
