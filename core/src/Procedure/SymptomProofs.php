<?php

declare(strict_types=1);

namespace VividPull\Core\Procedure;

/**
 * What a machine was brought in with is tried again before it is called fit: play inside its band is no proof that what
 * felt wrong is gone. Common practice, no source.
 */
final readonly class SymptomProofs
{
    private const BEGINNING = 'gone_';

    private function __construct() {}

    /**
     * @param  list<ToldSymptom>  $told
     * @param  bool  $worksWhileHeld  whether what the control works goes on for as long as that is held
     * @return list<Proof>
     */
    public static function of(array $told, bool $worksWhileHeld): array
    {
        return array_map(
            static fn (ToldSymptom $one): Proof => self::proof($one, $one->symptom->stopsTheMachine($worksWhileHeld)),
            $told,
        );
    }

    public static function isOne(Proof $proof): bool
    {
        return str_starts_with($proof->key, self::BEGINNING);
    }

    /** What is said of it where it is not gone. */
    public static function stillThere(Proof $proof): string
    {
        return 'Still there: '.lcfirst(self::words($proof)).'. Find its cause, put that right, and try again.';
    }

    public static function words(Proof $proof): string
    {
        return Symptom::from(substr($proof->key, strlen(self::BEGINNING)))->words();
    }

    /** The key under which it is asked whether a symptom is gone. */
    public static function key(Symptom $symptom): string
    {
        return self::BEGINNING.$symptom->value;
    }

    private static function proof(ToldSymptom $told, bool $stops): Proof
    {
        // What would hurt somebody is never left, and never taken as gone unseen.
        $more = $stops ? [] : [Proof::LEFT => 'Still there, left so', Proof::NOT_HERE => 'Cannot be tried here'];
        // Words are guessed at: whoever wrote them may say that they mean something else.
        $more += $told->note === null ? [] : [Proof::MISREAD => 'The note means something else'];

        return Proof::choice(
            self::key($told->symptom),
            $told->said().'. Gone?',
            ['gone' => 'Gone', 'still' => 'Still there'] + $more,
            ['gone', ...array_keys($more)],
            $stops ? 'Wheels blocked or off the ground, nobody in front, a hand at the switch.' : null,
        )->running();
    }
}
