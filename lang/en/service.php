<?php

declare(strict_types=1);

// What commands set at the streaming service; see core/Hearing/Service.
return [
    'title' => 'the title',
    'category' => 'the category',
    'tags' => 'the tags',
    'mark' => 'the moment',
    'tags-more' => 'added the tags :more',
    'tags-less' => 'removed the tags :less',
    'tags-both' => 'added the tags :more and removed :less',
];
