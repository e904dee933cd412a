<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Bench\ShopClock;
use Tests\Support\HttpJob;
use Tests\Support\Yard;
use Tests\TestCase;

/** What one machine taught about part numbers is told on the next of its model. */
final class ModelPartsTest extends TestCase
{
    public function test_what_fitted_and_what_did_not_is_told_on_other_machines_of_the_model(): void
    {
        Yard::add('RT-11');
        $first = HttpJob::open($this->signIn(), 'RT-11');
        $first->body('part_refused', ['part' => 'cable', 'number' => 'TR-330-B'])->assertOk();
        $first->body('part_refused', ['part' => 'cable', 'number' => 'TR-330-X'])->assertOk();
        $first->line('v typed wrong')->assertOk();
        $first->body('part', ['part' => 'cable', 'remark' => 'TR-330-A'])->assertOk();
        $next = HttpJob::open($this);
        $this->getJson("/api/jobs/{$next->id}/parts")->assertOk()->assertExactJson(['parts' => []]);
        $first->line('tag waits for its next look')->assertOk();
        $first->body('closed', ['outcome' => 'tagged'])->assertOk();

        $told = ['tag' => 'RT-11', 'on' => ShopClock::today()];
        $this->getJson("/api/jobs/{$next->id}/parts")->assertOk()->assertExactJson(['parts' => [
            ['number' => 'TR-330-A', 'part' => 'cable', 'fits' => true] + $told,
            ['number' => 'TR-330-B', 'part' => 'cable', 'fits' => false] + $told,
        ]]);
        $this
            ->getJson('/api/jobs/'.HttpJob::open($this, 'QB-03', 'throttle')->id.'/parts')
            ->assertExactJson(['parts' => []]);
        $this->getJson('/api/jobs/00000000-0000-4000-8000-000000000000/parts')->assertNotFound();
    }
}
