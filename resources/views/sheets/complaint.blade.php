@extends('sheets.page', ['title' => "Complaint {$complaint->control->machine->tag} {$complaint->control->name}"])
@section('foot', "Vivid Pull complaint, {$complaint->control->machine->tag}, printed {$printed_at}. The machine's own manual wins over anything in here.")
@section('body')
<table class="head"><tr>
  <td style="width: 1%; padding-right: 10pt"><span class="tag">{{ $complaint->control->machine->tag }}</span></td>
  <td><h1>{{ $complaint->control->name }}</h1><span class="soft">{{ $complaint->control->machine->name }}</span></td>
  <td style="text-align: right"><h3 style="margin: 0">Complaint</h3><span class="small soft">taken {{ $opened }} by {{ $complaint->openedBy->name }}</span></td>
</tr></table>
@if ($stopped_by !== [])<div class="outcome tagged" style="font-size: 11pt; padding: 3pt 6pt; margin: 6pt 0">Do not run until its cause is found and put right: {{ implode('; ', array_map(lcfirst(...), $stopped_by)) }}.</div>@endif
<h2>What feels wrong</h2>
@if ($complaint->words !== null)<div>“{{ $complaint->words }}”</div>@endif
<table>@foreach ($symptoms as $one)<tr><td>{{ $one['words'] }}</td><td style="width: 20%"><b>{{ $one['answer'] === 'yes' ? 'Yes' : 'No' }}</b></td></tr>@endforeach</table>
<h2>What was looked at</h2>
@if ($looks === [] && $tried === [])<div class="soft">Nothing yet.</div>@endif
<table>@foreach ($looks as $one)<tr><td>{{ $one['label'] }}</td><td style="width: 55%"><b>{{ $one['words'] }}</b></td></tr>@endforeach
@foreach ($tried as $one)<tr><td>{{ $one['label'] }}</td><td style="width: 55%">{{ $one['says'] }}</td></tr>@endforeach</table>
@if ($closed !== null)
<h2>What it was</h2>
<div><b>{{ $was['label'] ?? 'Not found' }}</b></div>
@if ($was !== null)<div>{{ $was['cure'] }}</div>@endif
<div class="small soft">Said {{ $closed }} by {{ $complaint->closedBy?->name }}.</div>
@else
<h2>What it may be</h2>
<table>@foreach ($likeliest as $one)<tr><td>{{ $one['label'] }}</td><td style="width: 15%; text-align: right">{{ number_format(100 * $one['chance'], 0) }} %</td><td style="width: 50%" class="small">{{ $one['cure'] }}</td></tr>@endforeach</table>
<div style="margin-top: 4pt"><b>Next:</b> {{ $next }}</div>
@endif
@endsection
