<?php

declare(strict_types=1);

namespace VividPull\Core\Wire;

use VividPull\Core\Bench\BenchLine;
use VividPull\Core\Bench\BenchState;
use VividPull\Core\Family\Families;
use VividPull\Core\Judging\Verdict;
use VividPull\Core\Log\EntryKind;
use VividPull\Core\Measurement\VerdictKind;
use VividPull\Core\Procedure\JobStage;
use VividPull\Core\Procedure\MeasureKey;
use VividPull\Core\Progress\Answer;
use VividPull\Core\Progress\AnswerTone;
use VividPull\Core\Progress\ItemKey;
use VividPull\Core\Progress\ItemKind;
use VividPull\Core\Progress\ItemTopic;
use VividPull\Core\Progress\StageItem;
use VividPull\Core\Quantity\Figure;

/**
 * The stages of a job, what each asks, and the answers there are.
 *
 * @phpstan-type StageShape array{
 *     key: value-of<JobStage>,
 *     title: string,
 *     done: bool,
 *     summary: string,
 *     cautions: list<string>,
 *     items: list<ItemShape>,
 *     // What of the stage may be confirmed at once, and the word typed for it; null where it is not several
 *     // lines.
 *     together: TogetherShape|null,
 * }
 * @phpstan-type TogetherShape array{
 *     word: string,
 *     label: string,
 *     keys: list<string>,
 * }
 * @phpstan-type ItemShape array{
 *     key: string,
 *     topic: value-of<ItemTopic>,
 *     // which adjuster, pose, proof, setting or step of its topic
 *     of: string|null,
 *     kind: value-of<ItemKind>,
 *     label: string,
 *     done: bool,
 *     failed: bool,
 *     said: string|null,
 *     detail: string|null,
 *     caution: string|null,
 *     about: string|null,
 *     by: string|null,
 *     // ISO 8601 with offset
 *     at: string|null,
 *     answers: list<AnswerShape>,
 *     // Whether it is about the second cable: the closing one of a push-pull pair, or the one behind a
 *     // governor.
 *     is_second: bool,
 *     measure: value-of<MeasureKey>|null,
 * }
 * @phpstan-type AnswerShape array{
 *     // What may be typed for it: its word, or the first words of its label.
 *     hint: string,
 *     // Typed on the bench line, it does the same.
 *     word: string,
 *     label: string,
 *     kind: value-of<EntryKind>,
 *     body: array<string, mixed>,
 *     tone: value-of<AnswerTone>,
 *     asks_remark: bool,
 *     // What the remark answers.
 *     question: string|null,
 * }
 */
final readonly class StagesCodec
{
    private function __construct(private BenchState $state) {}

    /** @return list<StageShape> */
    public static function of(BenchState $state): array
    {
        return array_map((new self($state))->stage(...), JobStage::cases());
    }

    /** @return StageShape */
    private function stage(JobStage $stage): array
    {
        $items = $this->state->progress->items[$stage->value] ?? [];
        $done = count(array_filter($items, static fn (StageItem $item): bool => $item->done));

        return [
            'key' => $stage->value,
            'title' => $stage->title(),
            'done' => $done === count($items) && $this->reached($stage),
            'summary' => $this->summary($stage, $done, count($items)),
            'cautions' => Families::of($this->state->spec->family)->cautions($stage),
            'items' => array_map(self::item(...), $items),
            'together' => $this->together($stage),
        ];
    }

    /**
     * @return TogetherShape|null what may be confirmed at once, by the word that is typed for it
     */
    private function together(JobStage $stage): ?array
    {
        $lines = $this->state->progress->together($stage);

        return $lines === [] ? null : [
            'word' => BenchLine::ALL_OK,
            'label' => $stage === JobStage::LookOver
                ? 'All '.count($lines).' are sound'
                : 'All '.count($lines).' are true',
            'keys' => array_map(static fn (StageItem $line): string => $line->key, $lines),
        ];
    }

    /** Later stages are not ticked while an earlier one lacks something. */
    private function reached(JobStage $stage): bool
    {
        $order = JobStage::cases();

        return array_search($stage, $order, true) <= array_search($this->state->progress->stage, $order, true);
    }

    private function summary(JobStage $stage, int $done, int $all): string
    {
        $found = $this->state->judgement->foundGroup;
        $moves = count($this->state->facts->readings->moves);

        return match ($stage) {
            JobStage::AsFound => $this->state->spec->aim === null
                ? "{$done} of {$all} told"
                : ($found === null
                    ? 'not read yet'
                    : Figure::length($found->found->mean).', '.self::word($this->state->judgement->found)),
            JobStage::Set => match (true) {
                $moves > 0 => $moves === 1 ? '1 move' : "{$moves} moves",
                $this->state->spec->aim === null => $done === $all ? 'nothing to put right' : 'put it right',
                $found === null => 'bring it inside',
                $done === $all => 'no move needed',
                $this->state->judgement->now->is(VerdictKind::Inside) => 'put it right',
                default => 'bring it inside',
            },
            JobStage::Close => $this->state->facts->closed === null
                ? "{$done} of {$all} done"
                : 'signed by '.$this->state->facts->closed->stamp->by->name,
            JobStage::MakeSafe => "{$done} of {$all} confirmed",
            JobStage::LookOver => "{$done} of {$all} looked over",
            JobStage::Prove => "{$done} of {$all} passed",
        };
    }

    /** @return ItemShape */
    private static function item(StageItem $item): array
    {
        $key = ItemKey::of($item->key);

        return [
            'key' => $item->key,
            'topic' => $key->topic->value,
            'of' => $key->of,
            'kind' => $item->kind->value,
            'label' => $item->label,
            'done' => $item->done,
            'failed' => $item->failed,
            'said' => $item->said,
            'detail' => $item->detail,
            'caution' => $item->caution,
            'about' => $item->about,
            'is_second' => $item->isSecond,
            'measure' => $item->measure?->value,
            'by' => $item->stamp?->by->name,
            'at' => $item->stamp?->at,
            'answers' => array_map(
                static fn (Answer $answer): array => self::answer($answer, $item),
                $item->answers,
            ),
        ];
    }

    /** @return AnswerShape */
    private static function answer(Answer $answer, StageItem $item): array
    {
        return [
            'word' => $answer->word,
            'hint' => $answer->hint($item->answers),
            'label' => $answer->label,
            'kind' => $answer->writes->kind->value,
            'body' => $answer->writes->body,
            'tone' => $answer->tone->value,
            'asks_remark' => $answer->asksRemark,
            'question' => $answer->question,
        ];
    }

    private static function word(Verdict $verdict): string
    {
        return lcfirst(str_replace('Outside: ', '', $verdict->sentence));
    }
}
