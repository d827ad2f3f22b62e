<?php

declare(strict_types=1);

use App\Accounts\SignInLinkController;
use Illuminate\Support\Facades\Route;

Route::view('/', 'welcome')->name('home');
Route::get('/sign-in/link/{token}', SignInLinkController::class)->middleware('throttle:10,1')->name('sign-in.link');
