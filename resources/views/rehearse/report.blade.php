<!doctype html>
<html lang="en"><head><meta charset="utf-8"><title>Rehearsal</title></head><body></body></html>
