<?php

declare(strict_types=1);

// What no script comes to, one sentence each; see CoverableKind.
return [
    'reply' => 'reply :name is never given',
    'reply-only' => 'it is never said',
    'branch' => ':name never holds',
    'otherwise' => ':name always holds, and what is said otherwise never is',
    'fallback' => ':name is never needed',
    'option' => ':name never comes up',
    'items' => 'items of :name that never come up: :missing of :of',
    'unanswered' => 'the look-up :name always answers',
    'closed' => 'the gate “:name” is never closed',
    'for-reply' => 'a reply',
    'for-branch' => ':name',
    'for-otherwise' => 'otherwise than :name',
    'for-fallback' => 'the fallback :name',
    'for-option' => ':name drawn',
    'for-items' => 'items of :name',
    'for-unanswered' => 'the look-up :name down',
    'for-closed' => 'the closed gate “:name”',
];
