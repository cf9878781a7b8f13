<?php

declare(strict_types=1);

// Requirements to begin from: the fields of each, but for its id, by the words of those who ask for it.
return [
    'These files and pages are there' => [
        'kind' => 'files', 'title' => 'The files are there',
        'names' => ['index.html'],
    ],
    'So many files of a kind: pictures, pages' => [
        'kind' => 'files', 'title' => 'Enough pictures',
        'names' => ['images/*'], 'at_least' => 3,
    ],
    'These files and no others' => [
        'kind' => 'files', 'title' => 'Just these files',
        'names' => ['index.html'], 'others' => false,
    ],
    'The zip is named by the student' => [
        'kind' => 'names', 'title' => 'The name of the zip',
        'archive' => '{student.handle}.zip',
    ],
    'The folder in the zip has a name' => [
        'kind' => 'names', 'title' => 'The name of the folder',
        'folder' => '{student.handle}',
    ],
    'Every page has a title of its own' => ['kind' => 'titles', 'title' => 'Titles'],
    'Titles of a form, such as Almanac: Tides' => [
        'kind' => 'titles', 'title' => 'Titles',
        'pattern' => 'Almanac: *',
    ],
    'A main heading on every page' => [
        'kind' => 'headings', 'title' => 'Main headings',
        'level' => 1, 'differ' => true,
    ],
    'The parts of every page: header, nav, main, footer' => [
        'kind' => 'skeleton', 'title' => 'The parts of every page',
        'parts' => [['header, div#header' => ['h1']], 'nav, div#nav', 'main, div#main', 'footer, div#footer'],
    ],
    'So many of an element on a page: 12 cells, 3 divs' => [
        'kind' => 'count', 'title' => 'Twelve cells',
        'selector' => 'td', 'exactly' => 12,
    ],
    'None of an element: no br, no font' => [
        'kind' => 'count', 'title' => 'No old tags',
        'selector' => 'font, center', 'exactly' => 0,
    ],
    'A list, a table and a picture are used somewhere' => [
        'kind' => 'count', 'title' => 'Elements are used',
        'each_of' => ['ul', 'table', 'img'],
    ],
    'Two line breaks after each picture' => [
        'kind' => 'count', 'title' => 'Two line breaks after each picture',
        'selector' => 'img:not(:has(+ br + br))', 'exactly' => 0,
    ],
    'Two to three sentences' => [
        'kind' => 'text', 'title' => 'Two to three sentences',
        'selector' => 'main p', 'at_least' => 2, 'at_most' => 3, 'of' => 'sentences',
    ],
    'So many words' => ['kind' => 'text', 'title' => 'Enough words', 'selector' => 'main', 'at_least' => 100],
    'Words that have to be said' => [
        'kind' => 'text', 'title' => 'What has to be said',
        'has' => ['high water'],
    ],
    'A supplied text, word for word' => [
        'kind' => 'text', 'title' => 'The supplied text',
        'selector' => 'main', 'copy' => 'text.txt',
    ],
    'Nothing but an address on a link' => [
        'kind' => 'attributes', 'title' => 'Plain links',
        'selector' => 'a', 'only' => ['href'],
    ],
    'Pictures from the images folder' => [
        'kind' => 'attributes', 'title' => 'Pictures from their folder',
        'selector' => 'img', 'has' => ['src=*images/*'],
    ],
    'Pictures in their own width and height' => [
        'kind' => 'attributes', 'title' => 'Pictures in their own size',
        'selector' => 'img', 'picture_size' => true,
    ],
    'These stylesheets on every page, in order' => [
        'kind' => 'stylesheets', 'title' => 'Stylesheets',
        'sheets' => ['styles/site.css'],
    ],
    'No styles in the page' => [
        'kind' => 'stylesheets', 'title' => 'No styles in the page',
        'inline' => 'refused', 'embedded' => 'refused',
    ],
    'A rule in the stylesheet: links pointed at, a background' => [
        'kind' => 'stylesheets', 'title' => 'What the stylesheet holds',
        'uses' => ['body { background }', 'a:hover'],
    ],
    'The given stylesheet as it was given' => [
        'kind' => 'stylesheets', 'title' => 'The given stylesheet',
        'given' => true,
    ],
    'Text and links that can be read: contrast' => ['kind' => 'contrast', 'title' => 'Text that can be read'],
    'The same menu on every page' => [
        'kind' => 'navigation', 'title' => 'The menu',
        'same_everywhere' => true,
    ],
    'Every page links to every other' => [
        'kind' => 'navigation', 'title' => 'All pages linked',
        'pattern' => 'menu',
    ],
    'A way on and a way back: a chain' => [
        'kind' => 'navigation', 'title' => 'On and back',
        'pattern' => 'chain',
    ],
    'A ring: on, back, and round again' => [
        'kind' => 'navigation', 'title' => 'The ring',
        'pattern' => 'ring',
    ],
    'A branching story with choices' => [
        'kind' => 'navigation', 'title' => 'Choices',
        'pattern' => 'branching', 'choices' => 2,
    ],
    'One page that lists all others: an index' => [
        'kind' => 'navigation', 'title' => 'The index',
        'pattern' => 'index',
    ],
    'A link to a page or to another site' => [
        'kind' => 'link', 'title' => 'A link',
        'to' => 'https://museum.example/',
    ],
    'A link in a new tab' => [
        'kind' => 'link', 'title' => 'A link in a new tab',
        'to' => 'https://museum.example/', 'new_tab' => true,
    ],
    'A picture on every page, with alt text' => [
        'kind' => 'pictures', 'title' => 'Pictures',
        'at_least' => 1,
    ],
    'Different pictures, not too heavy' => [
        'kind' => 'pictures', 'title' => 'Pictures',
        'differ' => true, 'largest' => 200,
    ],
    'Sound markup' => ['kind' => 'markup', 'title' => 'Sound markup', 'rules' => ['markup']],
    'Characters as references, such as &copy;' => [
        'kind' => 'markup', 'title' => 'Character references',
        'references' => ['©'],
    ],
    'Indented by a step' => ['kind' => 'indentation', 'title' => 'Indentation', 'step' => 2],
    'Starter: what is marked is changed, and nothing else' => [
        'kind' => 'starter', 'title' => 'The starter is edited',
        'compare' => true,
    ],
    'Starter: a placeholder is gone' => [
        'kind' => 'starter', 'title' => 'The placeholder is replaced',
        'replaced' => ['Lorem ipsum'],
    ],
    'Built as the model answer' => ['kind' => 'model', 'title' => 'Built as the model answer'],
    'Published at an address' => ['kind' => 'address', 'title' => 'Published', 'https' => true],
    'Judged by eye: layout, writing' => [
        'kind' => 'look', 'title' => 'Layout',
        'question' => 'Is it well laid out?',
    ],
];
