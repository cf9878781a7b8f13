<?php

declare(strict_types=1);

use Illuminate\Support\Facades\Route;

// Every other address is a place in the interface, which finds its own way from there.
Route::view('/{place?}', 'app')->where('place', '(?!api/|seen/|given/|build/).*')->name('login');
