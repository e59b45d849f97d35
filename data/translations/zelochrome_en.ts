<?xml version="1.0" encoding="utf-8"?>
<!DOCTYPE TS>
<TS version="2.1" language="en">
<context>
    <name>QObject</name>
    <message numerus="yes">
        <source>%n lamp(s)</source>
        <translation>
            <numerusform>%n lamp</numerusform>
            <numerusform>%n lamps</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <source>Let go of %n trim(s)</source>
        <translation>
            <numerusform>Let go of %n trim</numerusform>
            <numerusform>Let go of %n trims</numerusform>
        </translation>
    </message>
</context>
<context>
    <name>zelo::desk::ConvertForm</name>
    <message numerus="yes">
        <source>%n palette(s) from the book</source>
        <translation>
            <numerusform>%n palette from the book</numerusform>
            <numerusform>%n palettes from the book</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <source>%n gel(s)</source>
        <translation>
            <numerusform>%n gel</numerusform>
            <numerusform>%n gels</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <source>%n more in the report</source>
        <translation>
            <numerusform>%n more in the report</numerusform>
            <numerusform>%n more in the report</numerusform>
        </translation>
    </message>
</context>
<context>
    <name>zelo::desk::CrossfadeSide</name>
    <message numerus="yes">
        <source>%n step(s), worst %1</source>
        <translation>
            <numerusform>%n step, worst %1</numerusform>
            <numerusform>%n steps, worst %1</numerusform>
        </translation>
    </message>
</context>
<context>
    <name>zelo::desk::CueModel</name>
    <message numerus="yes">
        <source>lamps %1</source>
        <translation>
            <numerusform>lamp %1</numerusform>
            <numerusform>lamps %1</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <source>%n cues</source>
        <translation>
            <numerusform>%n cue</numerusform>
            <numerusform>%n cues</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <source>Insert %n cues</source>
        <translation>
            <numerusform>Insert %n cue</numerusform>
            <numerusform>Insert %n cues</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <source>Paste %n cues</source>
        <translation>
            <numerusform>Paste %n cue</numerusform>
            <numerusform>Paste %n cues</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <source>%n rows were left out: they are no cues</source>
        <translation>
            <numerusform>%n row was left out: it is no cue</numerusform>
            <numerusform>%n rows were left out: they are no cues</numerusform>
        </translation>
    </message>
</context>
<context>
    <name>zelo::desk::CueTable</name>
    <message numerus="yes">
        <source>%n cues copied</source>
        <translation>
            <numerusform>%n cue copied</numerusform>
            <numerusform>%n cues copied</numerusform>
        </translation>
    </message>
</context>
<context>
    <name>zelo::desk::CuesView</name>
    <message numerus="yes">
        <source>%n fades to look at</source>
        <translation>
            <numerusform>%n fade to look at</numerusform>
            <numerusform>%n fades to look at</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <source>%n cues</source>
        <translation>
            <numerusform>%n cue</numerusform>
            <numerusform>%n cues</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <source>%n cues, rehearsed: the stage stays</source>
        <translation>
            <numerusform>%n cue, rehearsed: the stage stays</numerusform>
            <numerusform>%n cues, rehearsed: the stage stays</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <source>%1: %n cues, %2 of them steps of a fade.</source>
        <translation>
            <numerusform>%1: %n cue, %2 of them steps of a fade.</numerusform>
            <numerusform>%1: %n cues, %2 of them steps of a fade.</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <source>%1: %n cues read.</source>
        <translation>
            <numerusform>%1: one cue read.</numerusform>
            <numerusform>%1: %n cues read.</numerusform>
        </translation>
    </message>
</context>
<context>
    <name>zelo::desk::FadeFaults</name>
    <message numerus="yes">
        <source>%1 of %n fades show a colour nobody asked for</source>
        <translation>
            <numerusform>%1 of one fade shows a colour nobody asked for</numerusform>
            <numerusform>%1 of %n fades show a colour nobody asked for</numerusform>
        </translation>
    </message>
</context>
<context>
    <name>zelo::desk::FindPanel</name>
    <message numerus="yes">
        <source>Add the %n new one(s) in this order</source>
        <translation>
            <numerusform>Add the new one</numerusform>
            <numerusform>Add the %n new ones in this order</numerusform>
        </translation>
    </message>
</context>
<context>
    <name>zelo::desk::FocusModel</name>
    <message numerus="yes">
        <source>lamp(s) %1</source>
        <translation>
            <numerusform>lamp %1</numerusform>
            <numerusform>lamps %1</numerusform>
        </translation>
    </message>
</context>
<context>
    <name>zelo::desk::GradientView</name>
    <message numerus="yes">
        <source>%n stop(s) over %1</source>
        <translation>
            <numerusform>%n stop over %1</numerusform>
            <numerusform>%n stops over %1</numerusform>
        </translation>
    </message>
</context>
<context>
    <name>zelo::desk::Header</name>
    <message numerus="yes">
        <source>%n receiver(s)</source>
        <translation>
            <numerusform>%n receiver</numerusform>
            <numerusform>%n receivers</numerusform>
        </translation>
    </message>
</context>
<context>
    <name>zelo::desk::LineupPanel</name>
    <message numerus="yes">
        <source>%1 of %n type(s)</source>
        <translation>
            <numerusform>%1 of one type</numerusform>
            <numerusform>%1 of %n types</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <source>%n in hand, Esc puts it (them) down</source>
        <translation>
            <numerusform>%n in hand, Esc puts it down</numerusform>
            <numerusform>%n in hand, Esc puts them down</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <source>%n trimmed (±), Backspace lets go</source>
        <translation>
            <numerusform>%n trimmed (±), Backspace lets go</numerusform>
            <numerusform>%n trimmed (±), Backspace lets go</numerusform>
        </translation>
    </message>
</context>
<context>
    <name>zelo::desk::OutputPanel</name>
    <message numerus="yes">
        <source>%n receiver(s) connected</source>
        <translation>
            <numerusform>%n receiver is connected</numerusform>
            <numerusform>%n receivers are connected</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <source>%1 packet(s)</source>
        <translation>
            <numerusform>%1 packet</numerusform>
            <numerusform>%1 packets</numerusform>
        </translation>
    </message>
</context>
<context>
    <name>zelo::desk::PatchModel</name>
    <message numerus="yes">
        <source>overlaps %1 by %n slot(s)</source>
        <translation>
            <numerusform>overlaps %1 by a slot</numerusform>
            <numerusform>overlaps %1 by %n slots</numerusform>
        </translation>
    </message>
</context>
<context>
    <name>zelo::desk::RippleModel</name>
    <message numerus="yes">
        <source>%n cue(s) for one turn are in %1.</source>
        <translation>
            <numerusform>%n cue for one turn is in %1.</numerusform>
            <numerusform>%n cues for one turn are in %1.</numerusform>
        </translation>
    </message>
</context>
<context>
    <name>zelo::desk::ShowFiles</name>
    <message numerus="yes">
        <source>%1, %n cues</source>
        <translation>
            <numerusform>%1, one cue</numerusform>
            <numerusform>%1, %n cues</numerusform>
        </translation>
    </message>
</context>
<context>
    <name>zelo::desk::SwatchPanel</name>
    <message numerus="yes">
        <source>%n gel(s)</source>
        <translation>
            <numerusform>%n gel</numerusform>
            <numerusform>%n gels</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <source>%n look(s)</source>
        <translation>
            <numerusform>%n look</numerusform>
            <numerusform>%n looks</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <source>%n found</source>
        <translation>
            <numerusform>%n found</numerusform>
            <numerusform>%n found</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <source>%n gradient(s)</source>
        <translation>
            <numerusform>%n gradient</numerusform>
            <numerusform>%n gradients</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <source>%n cue(s)</source>
        <translation>
            <numerusform>%n cue</numerusform>
            <numerusform>%n cues</numerusform>
        </translation>
    </message>
</context>
<context>
    <name>zelo::desk::TypesPanel</name>
    <message numerus="yes">
        <source>%n emitter(s)</source>
        <translation>
            <numerusform>%n emitter</numerusform>
            <numerusform>%n emitters</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <source>%n mode(s)</source>
        <translation>
            <numerusform>%n mode</numerusform>
            <numerusform>%n modes</numerusform>
        </translation>
    </message>
</context>
<context>
    <name>zelo::desk::UniverseStrip</name>
    <message numerus="yes">
        <source>, %n clash(es)</source>
        <translation>
            <numerusform>, %n clash</numerusform>
            <numerusform>, %n clashes</numerusform>
        </translation>
    </message>
</context>
</TS>
