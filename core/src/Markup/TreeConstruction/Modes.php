<?php

declare(strict_types=1);

namespace InkedMargin\Core\Markup\TreeConstruction;

/** The insertion modes, by the standard's names. They have no state, so that all pages share them. */
final readonly class Modes
{
    public Initial $initial;

    public BeforeHtml $beforeHtml;

    public BeforeHead $beforeHead;

    public InHead $inHead;

    public InHeadNoscript $inHeadNoscript;

    public AfterHead $afterHead;

    public InBody $inBody;

    public RawText $text;

    public InTable $inTable;

    public InTableText $inTableText;

    public InCaption $inCaption;

    public InColumnGroup $inColumnGroup;

    public InTableBody $inTableBody;

    public InRow $inRow;

    public InCell $inCell;

    public InSelect $inSelect;

    public InSelectInTable $inSelectInTable;

    public InTemplate $inTemplate;

    public AfterBody $afterBody;

    public InFrameset $inFrameset;

    public AfterFrameset $afterFrameset;

    public AfterAfterBody $afterAfterBody;

    public AfterAfterFrameset $afterAfterFrameset;

    private function __construct()
    {
        $this->initial = new Initial;
        $this->beforeHtml = new BeforeHtml;
        $this->beforeHead = new BeforeHead;
        $this->inHead = new InHead;
        $this->inHeadNoscript = new InHeadNoscript;
        $this->afterHead = new AfterHead;
        $this->inBody = new InBody;
        $this->text = new RawText;
        $this->inTable = new InTable;
        $this->inTableText = new InTableText;
        $this->inCaption = new InCaption;
        $this->inColumnGroup = new InColumnGroup;
        $this->inTableBody = new InTableBody;
        $this->inRow = new InRow;
        $this->inCell = new InCell;
        $this->inSelect = new InSelect;
        $this->inSelectInTable = new InSelectInTable;
        $this->inTemplate = new InTemplate;
        $this->afterBody = new AfterBody;
        $this->inFrameset = new InFrameset;
        $this->afterFrameset = new AfterFrameset;
        $this->afterAfterBody = new AfterAfterBody;
        $this->afterAfterFrameset = new AfterAfterFrameset;
    }

    public static function all(): self
    {
        static $modes = new self;

        return $modes;
    }
}
