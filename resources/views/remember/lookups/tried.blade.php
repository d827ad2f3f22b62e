{{-- What the paths in the fields lead to, while they are typed. --}}
@include('remember.lookups.values')
@include('remember.lookups.canned', ['isOob' => true])
