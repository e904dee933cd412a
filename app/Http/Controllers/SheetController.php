<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Bench\JobHead;
use App\Bench\Machines;
use App\Models\Complaint;
use App\Models\Control;
use App\Models\User;
use App\Sheets\BlankSheet;
use App\Sheets\ComplaintSheet;
use App\Sheets\JobSheet;
use App\Sheets\MachineSheet;
use App\Sheets\Paper;
use App\Sheets\ServiceSheet;
use Illuminate\Http\Request;
use Illuminate\Http\Response;

/** What is printed: for the machine's folder, for the owner, and for a day without power. */
final class SheetController
{
    public function __construct(private readonly Paper $paper) {}

    public function job(string $job): Response
    {
        $found = JobHead::find($job);

        return $this->paper->of(
            'job',
            JobSheet::of($found),
            "{$found->tag}-{$found->controlKey}-{$found->openedAt->format('Y-m-d')}",
        );
    }

    public function machine(string $tag): Response
    {
        $machine = Machines::find($tag);

        return $this->paper->of('machine', MachineSheet::of($machine), "{$machine->tag}-history");
    }

    public function service(Request $request, string $tag): Response
    {
        $machine = Machines::find($tag);

        return $this->paper->of('service', ServiceSheet::of($machine, User::of($request)), "{$machine->tag}-service");
    }

    public function complaint(string $complaint): Response
    {
        $found = Complaint::query()->with('control.machine')->findOrFail($complaint);

        return $this->paper->of(
            'complaint',
            ComplaintSheet::of($found),
            "{$found->control->machine->tag}-{$found->control->key}-complaint-{$found->opened_at->format('Y-m-d')}",
        );
    }

    public function blank(string $tag, string $control): Response
    {
        $machine = Machines::find($tag);
        $found = Control::query()
            ->with(['machine', 'specVersion'])
            ->where('machine_id', $machine->id)
            ->where('key', $control)
            ->firstOrFail();

        return $this->paper->of('blank', BlankSheet::of($found), "{$machine->tag}-{$found->key}-blank");
    }
}
