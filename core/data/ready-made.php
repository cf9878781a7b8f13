<?php

declare(strict_types=1);

// Requirements to begin from: the fields of each, but for its id, by the words of those who ask for it. `also` has other
// words that find it.
return [
    'These files and pages are there' => [
        'also' => 'six pages, file list, missing, exist, home page, index',
        'kind' => 'files', 'title' => 'The files are there',
        'names' => ['index.html'],
    ],
    'So many files of a kind: pictures, pages' => [
        'also' => 'number, count, six pages, at least, images, photos',
        'kind' => 'files', 'title' => 'Enough pictures',
        'names' => ['images/*'], 'at_least' => 3,
    ],
    'These files and no others' => [
        'also' => 'extra, unexpected, only, litter',
        'kind' => 'files', 'title' => 'Just these files',
        'names' => ['index.html'], 'others' => false,
    ],
    'The zip is named by the student' => [
        'also' => 'archive, file name, hand-in name',
        'kind' => 'names', 'title' => 'The name of the zip',
        'archive' => '{student.handle}.zip',
    ],
    'The folder in the zip has a name' => [
        'also' => 'archive, root, top folder',
        'kind' => 'names', 'title' => 'The name of the folder',
        'folder' => '{student.handle}',
    ],
    'Every page has a title of its own' => [
        'also' => 'title tag, unique, different',
        'kind' => 'titles', 'title' => 'Titles',
    ],
    'Titles of a form, such as Almanac: Tides' => [
        'also' => 'title tag, pattern, site name',
        'kind' => 'titles', 'title' => 'Titles',
        'pattern' => 'Almanac: *',
    ],
    'A main heading on every page' => [
        'also' => 'h1, copy, different, unique',
        'kind' => 'headings', 'title' => 'Main headings',
        'level' => 1, 'differ' => true,
    ],
    'The parts of every page: header, nav, main, footer' => [
        'also' => 'structure, skeleton, sections, semantic, layout',
        'kind' => 'skeleton', 'title' => 'The parts of every page',
        'parts' => [['header, div#header' => ['h1']], 'nav, div#nav', 'main, div#main', 'footer, div#footer'],
    ],
    'So many of an element on a page: 12 cells, 3 divs' => [
        'also' => 'count, number of, exactly, tags',
        'kind' => 'count', 'title' => 'Twelve cells',
        'selector' => 'td', 'exactly' => 12,
    ],
    'None of an element: no br, no font' => [
        'also' => 'without, forbidden, not, obsolete, zero',
        'kind' => 'count', 'title' => 'No old tags',
        'selector' => 'font, center', 'exactly' => 0,
    ],
    'A list, a table and a picture are used somewhere' => [
        'also' => 'each, all of, variety',
        'kind' => 'count', 'title' => 'Elements are used',
        'each_of' => ['ul', 'table', 'img'],
    ],
    'Any three of these elements are used somewhere' => [
        'also' => 'some of, choose, n of, variety',
        'kind' => 'count', 'title' => 'Three kinds of elements',
        'each_of' => ['ul', 'ol', 'table', 'figure', 'video'], 'at_least' => 3,
    ],
    'A table of so many rows and columns' => [
        'also' => 'grid, cells, tr, td, size',
        'kind' => 'table', 'title' => 'A table of four by three',
        'rows' => 4, 'columns' => 3,
    ],
    'Two line breaks after each picture' => [
        'also' => 'br, image, spacing',
        'kind' => 'pictures', 'title' => 'Two line breaks after each picture',
        'breaks' => 2,
    ],
    'Paragraphs of its own on every page' => [
        'also' => 'copy, same text, different, unique',
        'kind' => 'text', 'title' => 'Own words on every page',
        'differ' => true,
    ],
    'Two to three sentences' => [
        'also' => 'text, length, writing, paragraph',
        'kind' => 'text', 'title' => 'Two to three sentences',
        'selector' => 'main p', 'at_least' => 2, 'at_most' => 3, 'of' => 'sentences',
    ],
    'So many words' => [
        'also' => 'text, length, word count, minimum',
        'kind' => 'text', 'title' => 'Enough words', 'selector' => 'main', 'at_least' => 100,
    ],
    'Words that have to be said' => [
        'also' => 'text, contains, mention, phrase',
        'kind' => 'text', 'title' => 'What has to be said',
        'has' => ['high water'],
    ],
    'A supplied text, word for word' => [
        'also' => 'copy, given, paste, typed, article',
        'kind' => 'text', 'title' => 'The supplied text',
        'selector' => 'main', 'copy' => 'text.txt',
    ],
    'Nothing but an address on a link' => [
        'also' => 'attributes, only href, plain',
        'kind' => 'attributes', 'title' => 'Plain links',
        'selector' => 'a', 'only' => ['href'],
    ],
    'Pictures from the images folder' => [
        'also' => 'src, path, photos',
        'kind' => 'attributes', 'title' => 'Pictures from their folder',
        'selector' => 'img', 'has' => ['src=*images/*'],
    ],
    'Pictures in their own width and height' => [
        'also' => 'size, distorted, stretched, attributes',
        'kind' => 'attributes', 'title' => 'Pictures in their own size',
        'selector' => 'img', 'picture_size' => true,
    ],
    'These stylesheets on every page, in order' => [
        'also' => 'one stylesheet, css, link, external, normalize',
        'kind' => 'stylesheets', 'title' => 'Stylesheets',
        'sheets' => ['styles/site.css'],
    ],
    'No styles in the page' => [
        'also' => 'inline, embedded, style attribute, internal',
        'kind' => 'stylesheets', 'title' => 'No styles in the page',
        'inline' => 'refused', 'embedded' => 'refused',
    ],
    'A rule in the stylesheet: links pointed at, a background' => [
        'also' => 'css, hover, property, selector, colour',
        'kind' => 'stylesheets', 'title' => 'What the stylesheet holds',
        'uses' => ['body { background }', 'a:hover'],
    ],
    'So many rules, classes or ids in the stylesheet' => [
        'also' => 'css, selectors, number',
        'kind' => 'stylesheets', 'title' => 'Classes and ids in the stylesheet',
        'at_least_classes' => 2, 'at_least_ids' => 1,
    ],
    'The given stylesheet as it was given' => [
        'also' => 'css, supplied, unchanged',
        'kind' => 'stylesheets', 'title' => 'The given stylesheet',
        'given' => true,
    ],
    'Text and links that can be read: contrast' => [
        'also' => 'colours, accessibility, wcag, readable',
        'kind' => 'contrast', 'title' => 'Text that can be read',
    ],
    'The same menu on every page' => [
        'also' => 'navigation, nav, links, consistent',
        'kind' => 'navigation', 'title' => 'The menu',
        'same_everywhere' => true,
    ],
    'Every page links to every other' => [
        'also' => 'navigation, menu, all pages',
        'kind' => 'navigation', 'title' => 'All pages linked',
        'pattern' => 'menu',
    ],
    'A way on and a way back: a chain' => [
        'also' => 'navigation, next, previous, sequence',
        'kind' => 'navigation', 'title' => 'On and back',
        'pattern' => 'chain',
    ],
    'A ring: on, back, and round again' => [
        'also' => 'navigation, next, previous, circle, loop',
        'kind' => 'navigation', 'title' => 'The ring',
        'pattern' => 'ring',
    ],
    'A branching story with choices' => [
        'also' => 'navigation, tree, endings, adventure',
        'kind' => 'navigation', 'title' => 'Choices',
        'pattern' => 'branching', 'choices' => 2,
    ],
    'One page that lists all others: an index' => [
        'also' => 'navigation, contents, list of pages',
        'kind' => 'navigation', 'title' => 'The index',
        'pattern' => 'index',
    ],
    'A link to a page or to another site' => [
        'also' => 'href, external, url, anchor',
        'kind' => 'link', 'title' => 'A link',
        'to' => 'https://museum.example/',
    ],
    'A link in a new tab' => [
        'also' => 'target, blank, external, window',
        'kind' => 'link', 'title' => 'A link in a new tab',
        'to' => 'https://museum.example/', 'new_tab' => true,
    ],
    'Links to other sites open in a new tab' => [
        'also' => 'target, blank, external, outside, window',
        'kind' => 'markup', 'title' => 'Outside links in a new tab',
        'rules' => ['link/outside-same-tab'],
    ],
    'A link to a file to download, such as a PDF' => [
        'also' => 'pdf, document, zip, sound',
        'kind' => 'link', 'title' => 'A PDF to download',
        'to' => '*.pdf',
    ],
    'A picture on every page, with alt text' => [
        'also' => 'image, photo, img, alternative',
        'kind' => 'pictures', 'title' => 'Pictures',
        'at_least' => 1,
    ],
    'Different pictures, not too heavy' => [
        'also' => 'image, photo, file size, kilobytes, copy, same',
        'kind' => 'pictures', 'title' => 'Pictures',
        'differ' => true, 'largest' => 200,
    ],
    'Sound markup' => [
        'also' => 'valid, html, errors, tags, correct',
        'kind' => 'markup', 'title' => 'Sound markup', 'rules' => ['markup'],
    ],
    'Characters as references, such as &copy;' => [
        'also' => 'entities, symbols, copyright',
        'kind' => 'markup', 'title' => 'Character references',
        'references' => ['©'],
    ],
    'Indented by a step' => [
        'also' => 'indentation, spaces, tidy, layout of the source',
        'kind' => 'indentation', 'title' => 'Indentation', 'step' => 2,
    ],
    'Starter: what is marked is changed, and nothing else' => [
        'also' => 'given files, template, edited, compare, copy',
        'kind' => 'starter', 'title' => 'The starter is edited',
        'compare' => true,
    ],
    'Starter: a placeholder is gone' => [
        'also' => 'given files, template, lorem ipsum, replaced',
        'kind' => 'starter', 'title' => 'The placeholder is replaced',
        'replaced' => ['Lorem ipsum'],
    ],
    'Built as the model answer' => [
        'also' => 'same structure, compare, solution',
        'kind' => 'model', 'title' => 'Built as the model answer',
    ],
    'Published at an address' => [
        'also' => 'url, server, online, hosted, https',
        'kind' => 'address', 'title' => 'Published', 'https' => true,
    ],
    'Judged by eye: layout, writing' => [
        'also' => 'design, looks, manual, subjective, quality',
        'kind' => 'look', 'title' => 'Layout',
        'question' => 'Is it well laid out?',
    ],
];
