@php($tags = ['same' => 'span', 'gone' => 'del', 'new' => 'ins'])
{!! implode('', array_map(fn (array $part) => "<{$tags[$part[0]]}>".e($part[1])."</{$tags[$part[0]]}>", SilverParrot\Source\WordDiff::between($before, $after))) !!}
