@extends('sheets.page', ['title' => "Bench sheet {$control->machine->tag} {$control->name}"])
@section('foot', 'Vivid Pull bench sheet, to be entered once the power is back.')
@php($box = \App\Sheets\Drawing::mark('box'))
@section('body')
<table class="head"><tr>
  <td style="width: 1%; padding-right: 10pt"><span class="tag">{{ $control->machine->tag }}</span></td>
  <td><h1>{{ $control->name }}</h1><span class="soft">{{ $control->machine->name }}</span></td>
  <td style="text-align: right"><h3 style="margin: 0">Bench sheet</h3><span class="small soft">{{ $says }}<br>{{ $source }}</span></td>
</tr></table>
<table style="margin-top: 8pt"><tr>
  @foreach (['Day and time', 'Meter, '.$control->machine->usage_unit, 'Name', 'Engine cold or hot'] as $asked)<td style="border: 0; width: 25%"><div class="line"></div><span class="small soft">{{ $asked }}</span></td>@endforeach
</tr></table>
<h2>1 Make safe</h2>
<table>@foreach ($make_safe as $one)<tr><td style="width: 14pt"><img class="mark" src="{{ $box }}" alt=""></td><td>{{ $one }}</td></tr>@endforeach</table>
<h2>2 Look it over</h2>
<table>@foreach ($look_over as [$what, $for])<tr><td style="width: 14pt"><img class="mark" src="{{ $box }}" alt=""></td><td style="width: 34%"><b>{{ $what }}</b></td><td class="small soft">{{ $for }}</td><td style="width: 22%"></td></tr>@endforeach</table>
<h2>3 As found</h2>
@include('sheets.seen')
@if ($adjusters !== [])
<table><tr><th>Adjuster</th><th>Stands at, before</th><th>Moved, which way</th><th>Stands at, after</th><th>Locked</th></tr>
@foreach ($adjusters as [$name, $units])<tr><td>{{ $name }}</td><td class="small soft" style="text-align: right">mm or {{ $units }}</td><td class="small soft" style="text-align: right">{{ $units }}</td><td></td><td><img class="mark" src="{{ $box }}" alt=""></td></tr>@endforeach</table>
<h2>4 As left, locked and {{ $settings === [] ? 'read' : 'tried' }} again</h2>
@include('sheets.seen', ['again' => true])
@endif
<div class="keep">
<h2>{{ $adjusters === [] ? 4 : 5 }} Prove</h2>
<table>@foreach ($proofs as [$question, $words])<tr><td>{{ $question }}</td><td style="width: 45%; text-align: right">@foreach ($words as $word)<img class="mark" src="{{ $box }}" alt=""> {{ $word }} &nbsp; @endforeach</td></tr>@endforeach
@foreach ($measured as $one)<tr><td>{{ $one }}</td><td style="width: 45%"><div class="line"></div><span class="small soft">measured, and with what</span></td></tr>@endforeach</table>
</div>
<div class="keep">
<h2>{{ $adjusters === [] ? 5 : 6 }} Close</h2>
<table>@foreach ($closing as $one)<tr><td style="width: 14pt"><img class="mark" src="{{ $box }}" alt=""></td><td>{{ $one }}</td></tr>@endforeach</table>
<table style="margin-top: 6pt"><tr>@foreach (['Fit / do not run, why', 'Signed', 'Next check'] as $asked)<td style="border: 0; width: 33%"><div class="line"></div><span class="small soft">{{ $asked }}</span></td>@endforeach</tr></table>
</div>
<div class="keep small" style="margin-top: 8pt"><b>Mind:</b> {{ implode(' ', $cautions) }}</div>
@endsection
