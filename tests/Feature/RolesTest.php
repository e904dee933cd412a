<?php

declare(strict_types=1);

namespace Tests\Feature;

use PHPUnit\Framework\Attributes\DataProvider;
use Tests\Support\HttpJob;
use Tests\TestCase;

/** Who may do what, over HTTP: the core decides, and the server asks it. */
final class RolesTest extends TestCase
{
    /** @return iterable<string, array{string, bool, bool, bool}> */
    public static function people(): iterable
    {
        yield 'a lead logs, signs and lifts tags' => ['oda', true, true, true];
        yield 'a technician logs and signs' => ['tomas', true, true, false];
        yield 'an apprentice logs' => ['mirre', true, false, false];
        yield 'a viewer looks' => ['office', false, false, false];
    }

    #[DataProvider('people')]
    public function test_the_session_says_what_a_person_may(string $login, bool $log, bool $sign, bool $lift): void
    {
        $user = $this->signIn($login)->getJson('/api/session')->json('user');
        self::assertSame([$log, $sign, $lift], [$user['may_log'], $user['may_sign_off'], $user['may_lift_tag']]);
    }

    #[DataProvider('people')]
    public function test_everybody_looks_at_everything(string $login): void
    {
        $job = HttpJob::open($this->signIn());
        $this->signIn($login);
        foreach ([
            'bench', 'machines', 'machines/RT-14', "jobs/{$job->id}", "jobs/{$job->id}/file", "jobs/{$job->id}/alike",
            'shelf',
        ] as $path) {
            $this->getJson("/api/{$path}")->assertOk();
        }
    }

    #[DataProvider('people')]
    public function test_only_who_may_log_logs(string $login, bool $log): void
    {
        $job = HttpJob::open($this->signIn());
        $rows = $job->rows();
        $this->signIn($login);
        $status = $job->body('joined', [])->getStatusCode();
        self::assertSame($log ? 200 : 403, $status);
        $job->line('ok')->assertStatus($log ? 200 : 403);
        $shape = $this->postJson("/api/jobs/{$job->id}/entries", ['nonsense' => true])->getStatusCode();
        self::assertSame($log ? 422 : 403, $shape, 'the role answers before the shape');
        self::assertSame($rows + ($log ? 2 : 0), $job->rows());
    }

    #[DataProvider('people')]
    public function test_only_who_may_sign_signs(string $login, bool $log, bool $sign): void
    {
        $job = HttpJob::open($this->signIn());
        $job->line('tag frayed wire')->assertOk();
        $this->signIn($login);
        $job->body('joined', []);
        $job->body('closed', ['outcome' => 'tagged'])->assertStatus($sign ? 200 : ($log ? 422 : 403));
        self::assertSame($sign, $this->getJson("/api/jobs/{$job->id}")->json('state.closed') !== null);
    }

    #[DataProvider('people')]
    public function test_only_a_lead_lifts_a_tag(string $login, bool $log, bool $sign, bool $lift): void
    {
        $tagged = HttpJob::open($this->signIn(), 'QB-03', 'throttle');
        $tagged->line('tag sticks open')->assertOk();
        $tagged->body('closed', ['outcome' => 'tagged'])->assertOk();
        $job = HttpJob::open($this, 'QB-03', 'throttle')->ready();
        foreach (['straight', 'left', 'right'] as $pose) {
            $job->line('4', ['pose' => $pose, 'item' => 'in_band'])->assertOk();
            $job->line('4', ['pose' => $pose, 'item' => 'in_band'])->assertOk();
            $job->body('check', ['key' => 'snap_shut', 'answer' => 'yes', 'pose' => $pose])->assertOk();
        }
        $job->body('check', ['key' => 'wire_in_groove', 'answer' => 'yes'])->assertOk();
        $this->signIn($login);
        $job->body('joined', []);
        $job->body('untag', ['reason' => 'passed'])->assertStatus($lift ? 200 : ($log ? 422 : 403));
        self::assertSame($lift, $this->getJson("/api/jobs/{$job->id}")->json('state.tag') === null);
    }
}
