@extends('sheets.page', ['title' => "Job sheet {$job->tag} {$job->controlName}"])
@section('foot', "Vivid Pull job sheet, {$job->tag} {$job->controlName}, printed {$printed_at}.")
@section('body')
<table class="head"><tr>
  <td style="width: 1%; padding-right: 10pt"><span class="tag {{ $outcome === 'tagged' ? 'stop' : '' }}">{{ $job->tag }}</span></td>
  <td><h1>{{ $job->controlName }}</h1><span class="soft">{{ $job->machine }}, {{ number_format($job->usage, 0, '.', ' ') }} {{ $job->usageUnit }}</span></td>
  <td style="text-align: right"><h3 style="margin: 0">Job sheet</h3><span class="soft small">{{ $signed_at ?? $job->openedAt->format('j F Y') }}</span></td>
</tr></table>

<div class="outcome {{ $outcome }}">
  @if ($outcome !== null)<img class="mark" style="width: 12pt; height: 12pt" src="{{ \App\Sheets\Drawing::mark($outcome) }}" alt="">@endif
  {{ $outcome_words }}
  @if ($reason !== null)<div class="why">{{ $reason }}</div>@endif
  @if ($outcome === 'tagged')<div class="why">Only a new job that passes, signed by a lead, lifts this tag.</div>@endif
</div>

@if ($machine_not_fit !== [] && $outcome !== 'tagged')<div class="note"><b>The machine was not to be run when this was printed.</b> {{ implode(' ', $machine_not_fit) }}</div>@endif

@if ($from_file)<div class="note">It came in by file. What was confirmed, looked over and tried was not in it.</div>@endif

@if ($readings !== [])
<h2>Found and left</h2>
@if ($tape !== null)<img src="{{ $tape }}" style="width: 100%; height: 20.5mm; margin-top: 3pt" alt="">@endif
<table>
  <tr><th></th><th>Play</th><th>Verdict</th><th>Read with</th><th>State</th></tr>
  @foreach ($readings as $one)
  <tr>
    <td style="white-space: nowrap"><img class="mark" src="{{ \App\Sheets\Drawing::mark($one['mark']) }}" alt=""> {{ $one['name'] }}</td>
    <td class="figure">{{ $one['mm'] }} ± {{ $one['expanded'] }} {{ \VividPull\Core\Quantity\Figure::lengthUnit() }}</td>
    <td>{{ $one['verdict'] }}@if ($one['chance'] !== null)<div class="small soft">{{ $one['chance'] }} % chance of inside</div>@endif</td>
    <td>@if ($one['count'] > 0){{ $one['instrument'] }}, {{ $one['count'] === 1 ? 'once' : "{$one['count']} times" }}@endif @if ($one['overdue'] !== null)<div class="small">calibration overdue since {{ $one['overdue'] }}</div>@endif</td>
    <td>{{ $one['state'] }}</td>
  </tr>
  @endforeach
</table>
<div class="small soft">± is the expanded uncertainty at 95 %.</div>
@endif

<h2>Spec</h2>
<div><b>{{ $spec['says'] }}</b>@if ($spec['printed'] !== null), printed {{ $spec['printed'] }}@endif</div>
<div>{{ $spec['source'] }}</div>
@if ($wish !== null)<div>Rider's wish: <b>{{ $wish }}</b></div>@endif
<div class="small soft">Entered by {{ $spec['entered_by'] ?? 'nobody named' }}, {{ $spec['checked_by'] === null ? 'not checked by a second person' : "checked by {$spec['checked_by']}" }}.</div>
@if ($spec['common_practice'])<div class="note">Common practice, not a maker's figure.</div>@endif

@foreach ($pulls as $pull)
<div class="keep">
<h2>Pulled as a curve, {{ $pull['at'] }}</h2>
<img src="{{ $pull['drawing'] }}" style="width: 100%; height: 52mm; margin-top: 3pt" alt="">
</div>
<table>
  @foreach ($pull['findings'] as $one)
  <tr>
    <td style="width: 26%">{{ $one['label'] }}</td>
    <td class="figure" style="width: 22%; white-space: nowrap">@if ($one['fault'])<img class="mark" src="{{ \App\Sheets\Drawing::mark('wrong') }}" alt="wrong"> @endif{{ $one['figure'] }}</td>
    <td class="soft">{{ $one['sentence'] }}</td>
  </tr>
  @endforeach
</table>
<div class="small soft">Dark: pulled. Light: let back.</div>
@endforeach

<h2>Done</h2>
<table>
  @foreach ($log as $row)
  <tr>
    <td class="small soft" style="width: 17%; white-space: nowrap">{{ substr($row['at'], 0, 10) }} {{ substr($row['at'], 11, 5) }}</td>
    <td class="{{ $row['voided'] === null ? '' : 'void' }}">{{ $row['what'] }}@if ($row['mean_mm'] !== null && ($row['count'] ?? 1) > 1) <b>mean {{ \VividPull\Core\Quantity\Figure::length($row['mean_mm'], 2)->bare() }} ± {{ \VividPull\Core\Quantity\Figure::length((float) $row['expanded_mm'], 2) }}</b>@endif
      @if ($row['voided'] !== null)<span class="small">taken back: {{ $row['voided'] }}</span>@endif</td>
    <td class="small" style="width: 14%">{{ $row['by'] }}</td>
  </tr>
  @endforeach
</table>

@foreach ($from_file ? [] : $stages as $stage)
@if ($stage['items'] !== [])
<div class="keep">
<h3>{{ $stage['title'] }}</h3>
<table>
  @foreach ($stage['items'] as $item)
  <tr>
    <td style="width: 12pt"><img class="mark" src="{{ \App\Sheets\Drawing::mark($item['mark']) }}" alt=""></td>
    <td>{{ $item['label'] }}</td>
    <td class="soft" style="width: 45%">{{ $item['said'] }}</td>
  </tr>
  @endforeach
</table>
</div>
@endif
@endforeach

<div class="keep">
<h2>Signed</h2>
<table><tr>
  <td style="border: 0; width: 50%"><b>{{ $signed_by ?? 'not signed' }}</b>@if ($signed_at !== null)<div class="soft">{{ $signed_at }}</div>@endif
    <div class="small soft">Worked on by {{ implode(', ', $people) }}</div>@if ($seal !== null)<div class="small soft">Seal of this record: {{ $seal }}</div>@endif
    @if ($day_head !== null)<div class="small soft">Head of the log at the end of {{ $day_head['day'] }}: {{ trim(chunk_split($day_head['head'], 8, ' ')) }}</div>@endif</td>
  <td style="border: 0"><b>Next check</b><div>{{ $next ?? 'none named' }}</div></td>
</tr></table>
</div>
@endsection
