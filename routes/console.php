<?php

declare(strict_types=1);

use App\Console\LoadDemo;
use App\Console\WriteOpenApi;
use Illuminate\Support\Facades\Artisan;

Artisan::resolve(LoadDemo::class);
Artisan::resolve(WriteOpenApi::class);
