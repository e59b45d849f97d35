<?xml version="1.0" encoding="utf-8"?>
<!DOCTYPE TS>
<TS version="2.1" language="de">
<context>
    <name>CueText</name>
    <message>
        <source>done</source>
        <translation>fertig</translation>
    </message>
    <message>
        <source>a number such as 7 or 7.5</source>
        <translation>eine Nummer wie 7 oder 7.5</translation>
    </message>
    <message>
        <source>a time, or two for up and down: 0.5/1</source>
        <translation>eine Zeit, oder zwei für auf und ab: 0,5/1</translation>
    </message>
    <message>
        <source>a time, with a delay: 6+1, or nothing</source>
        <translation>eine Zeit, mit Verzögerung: 6+1, oder nichts</translation>
    </message>
    <message>
        <source>a time: 2.5, or 1:30</source>
        <translation>eine Zeit: 2,5 oder 1:30</translation>
    </message>
    <message>
        <source>cue</source>
        <translation>Cue</translation>
    </message>
    <message>
        <source>name</source>
        <translation>Name</translation>
    </message>
    <message>
        <source>up</source>
        <translation>auf</translation>
    </message>
    <message>
        <source>down</source>
        <translation>ab</translation>
    </message>
    <message>
        <source>delay</source>
        <translation>Verz.</translation>
    </message>
    <message>
        <source>colour</source>
        <translation>Farbe</translation>
    </message>
    <message>
        <source>follow</source>
        <translation>folgt</translation>
    </message>
    <message>
        <source>note</source>
        <translation>Notiz</translation>
    </message>
    <message>
        <source>at %1</source>
        <translation>um %1</translation>
    </message>
    <message>
        <source>a time after its start, “%1”, a time of day such as “at 19:30”, or nothing</source>
        <translation>eine Zeit nach ihrem Beginn, „%1“, eine Tageszeit wie „um 19:30“, oder nichts</translation>
    </message>
</context>
<context>
    <name>Figures</name>
    <message>
        <source>Move a figure</source>
        <translation>Eine Figur bewegen</translation>
    </message>
</context>
<context>
    <name>Holding</name>
    <message>
        <source>No lamps in the lineup: nothing to lock.</source>
        <translation>Keine Lampen in der Lampenreihe: nichts zu sperren.</translation>
    </message>
    <message>
        <source>Unlock %1</source>
        <translation>%1 entsperren</translation>
    </message>
    <message>
        <source>Lock %1</source>
        <translation>%1 sperren</translation>
    </message>
    <message>
        <source>Nothing of the kind is in hand in the lineup.</source>
        <translation>Nichts davon ist in der Lampenreihe in der Hand.</translation>
    </message>
    <message>
        <source>intensities</source>
        <translation>Helligkeiten</translation>
    </message>
    <message>
        <source>colours</source>
        <translation>Farben</translation>
    </message>
    <message>
        <source>the lineup</source>
        <translation>die Lampenreihe</translation>
    </message>
    <message>
        <source>Put down %1</source>
        <translation>%1 ablegen</translation>
    </message>
</context>
<context>
    <name>LookMenu</name>
    <message>
        <source>Show look %1</source>
        <translation>Look %1 zeigen</translation>
    </message>
    <message>
        <source>Choose lamps first: they take it in their order.</source>
        <translation>Erst Lampen wählen: Sie nehmen ihn in ihrer Reihenfolge.</translation>
    </message>
    <message>
        <source>Look %1 onto the lineup</source>
        <translation>Look %1 auf die Lampenreihe</translation>
    </message>
    <message>
        <source>Reading %1</source>
        <translation>%1 wird gelesen</translation>
    </message>
    <message>
        <source>%1 is too large</source>
        <translation>%1 ist zu groß</translation>
    </message>
    <message>
        <source>%1: %2</source>
        <translation>%1: %2</translation>
    </message>
    <message>
        <source>Picture of look %1</source>
        <translation>Bild von Look %1</translation>
    </message>
    <message>
        <source>Show it, in %1 s</source>
        <translation>Zeigen, in %1 s</translation>
    </message>
    <message>
        <source>Take it into the hand</source>
        <translation>In die Hand nehmen</translation>
    </message>
    <message>
        <source>Look %1</source>
        <translation>Look %1</translation>
    </message>
    <message>
        <source>Onto the lineup, by order</source>
        <translation>Auf die Lampenreihe, der Reihe nach</translation>
    </message>
    <message>
        <source>Time: %1 s…</source>
        <translation>Zeit: %1 s…</translation>
    </message>
    <message>
        <source>Time of a look</source>
        <translation>Zeit eines Looks</translation>
    </message>
    <message>
        <source>In which it comes, s</source>
        <translation>In der er kommt, s</translation>
    </message>
    <message>
        <source>Time of look %1</source>
        <translation>Zeit von Look %1</translation>
    </message>
    <message>
        <source>“%1”: expected a time: 2.5, or 1:30</source>
        <translation>„%1“: eine Zeit erwartet: 2,5 oder 1:30</translation>
    </message>
    <message>
        <source>A picture of one&apos;s own…</source>
        <translation>Ein eigenes Bild…</translation>
    </message>
    <message>
        <source>Picture of a look</source>
        <translation>Bild eines Looks</translation>
    </message>
    <message>
        <source>Pictures (*.png *.jpg *.jpeg)</source>
        <translation>Bilder (*.png *.jpg *.jpeg)</translation>
    </message>
    <message>
        <source>Its small lamps again</source>
        <translation>Wieder seine kleinen Lampen</translation>
    </message>
    <message>
        <source>Rename…</source>
        <translation>Umbenennen…</translation>
    </message>
    <message>
        <source>Rename</source>
        <translation>Umbenennen</translation>
    </message>
    <message>
        <source>Name</source>
        <translation>Name</translation>
    </message>
    <message>
        <source>Rename look to %1</source>
        <translation>Look in %1 umbenennen</translation>
    </message>
    <message>
        <source>Unlock</source>
        <translation>Entsperren</translation>
    </message>
    <message>
        <source>Lock</source>
        <translation>Sperren</translation>
    </message>
    <message>
        <source>Unlock look %1</source>
        <translation>Look %1 entsperren</translation>
    </message>
    <message>
        <source>Lock look %1</source>
        <translation>Look %1 sperren</translation>
    </message>
    <message>
        <source>Delete</source>
        <translation>Löschen</translation>
    </message>
    <message>
        <source>Delete look %1</source>
        <translation>Look %1 löschen</translation>
    </message>
    <message>
        <source>Looks</source>
        <translation>Looks</translation>
    </message>
    <message>
        <source>No looks yet: K keeps one</source>
        <translation>Noch keine Looks: K behält einen</translation>
    </message>
    <message>
        <source>  (locked)</source>
        <translation>  (gesperrt)</translation>
    </message>
</context>
<context>
    <name>QObject</name>
    <message>
        <source>No lamp here takes the colour.</source>
        <translation>Hier nimmt keine Lampe die Farbe an.</translation>
    </message>
    <message>
        <source>Palette %1</source>
        <translation>Palette %1</translation>
    </message>
    <message>
        <source>Colour %1</source>
        <translation>Farbe %1</translation>
    </message>
    <message>
        <source>Shown by this screen&apos;s profile, “%1”.</source>
        <translation>Gezeigt nach dem Profil dieses Bildschirms, „%1“.</translation>
    </message>
    <message>
        <source>Shown as sRGB: the desktop names no profile for this screen.</source>
        <translation>Gezeigt als sRGB: der Desktop nennt für diesen Bildschirm kein Profil.</translation>
    </message>
    <message>
        <source>u′ %1, v′ %2</source>
        <translation>u′ %1, v′ %2</translation>
    </message>
    <message numerus="yes">
        <source>%n lamp(s)</source>
        <translation>
            <numerusform>%n Lampe</numerusform>
            <numerusform>%n Lampen</numerusform>
        </translation>
    </message>
    <message>
        <source>paler</source>
        <translation>blasser</translation>
    </message>
    <message>
        <source>deeper</source>
        <translation>tiefer</translation>
    </message>
    <message>
        <source>redder</source>
        <translation>röter</translation>
    </message>
    <message>
        <source>greener</source>
        <translation>grüner</translation>
    </message>
    <message>
        <source>bluer</source>
        <translation>blauer</translation>
    </message>
    <message>
        <source>yellower</source>
        <translation>gelber</translation>
    </message>
    <message>
        <source>pinker</source>
        <translation>rosiger</translation>
    </message>
    <message>
        <source>no difference to see</source>
        <translation>kein Unterschied zu sehen</translation>
    </message>
    <message>
        <source>barely %1, seen only side by side</source>
        <translation>kaum %1, nur nebeneinander zu sehen</translation>
    </message>
    <message>
        <source>close, a little %1</source>
        <translation>nah, ein wenig %1</translation>
    </message>
    <message>
        <source>visibly %1</source>
        <translation>sichtbar %1</translation>
    </message>
    <message>
        <source>another colour, %1</source>
        <translation>eine andere Farbe, %1</translation>
    </message>
    <message>
        <source>Brightest</source>
        <translation>Hellste</translation>
    </message>
    <message>
        <source>Truest</source>
        <translation>Treueste</translation>
    </message>
    <message>
        <source>Kindest</source>
        <translation>Schönste</translation>
    </message>
    <message>
        <source>Leanest</source>
        <translation>Sparsamste</translation>
    </message>
    <message>
        <source>SSI</source>
        <translation>SSI</translation>
    </message>
    <message>
        <source>R_f</source>
        <translation>R_f</translation>
    </message>
    <message>
        <source>agreement</source>
        <translation>Übereinstimmung</translation>
    </message>
    <message>
        <source>watts</source>
        <translation>Watt</translation>
    </message>
    <message>
        <source>CIE 1931 2°</source>
        <translation>CIE 1931 2°</translation>
    </message>
    <message>
        <source>CIE 1964 10°</source>
        <translation>CIE 1964 10°</translation>
    </message>
    <message>
        <source>CIE 2015 2°</source>
        <translation>CIE 2015 2°</translation>
    </message>
    <message>
        <source>CIE 2015 10°</source>
        <translation>CIE 2015 10°</translation>
    </message>
    <message>
        <source>gel</source>
        <translation>Folie</translation>
    </message>
    <message>
        <source>white: kelvin, tint</source>
        <translation>Weiß: Kelvin, Stich</translation>
    </message>
    <message>
        <source>x y</source>
        <translation>x y</translation>
    </message>
    <message>
        <source>u′ v′</source>
        <translation>u′ v′</translation>
    </message>
    <message>
        <source>hue, saturation</source>
        <translation>Farbton, Sättigung</translation>
    </message>
    <message>
        <source>hex sRGB</source>
        <translation>Hex sRGB</translation>
    </message>
    <message>
        <source>measured spectrum</source>
        <translation>gemessenes Spektrum</translation>
    </message>
    <message>
        <source>another lamp</source>
        <translation>andere Lampe</translation>
    </message>
    <message>
        <source>correlated colour temperature</source>
        <translation>ähnlichste Farbtemperatur</translation>
    </message>
    <message>
        <source>Duv</source>
        <translation>Duv</translation>
    </message>
    <message>
        <source>brightness</source>
        <translation>Helligkeit</translation>
    </message>
    <message>
        <source>power</source>
        <translation>Leistung</translation>
    </message>
    <message>
        <source>of %1 with this gel</source>
        <translation>von %1 mit dieser Folie</translation>
    </message>
    <message>
        <source>of the brightest mix</source>
        <translation>der hellsten Mischung</translation>
    </message>
    <message>
        <source>SSI to the wanted light</source>
        <translation>SSI zum gewünschten Licht</translation>
    </message>
    <message>
        <source>agreement on 99 surfaces</source>
        <translation>Übereinstimmung auf 99 Flächen</translation>
    </message>
    <message>
        <source>Show</source>
        <translation>Show</translation>
    </message>
    <message>
        <source>Edit</source>
        <translation>Bearbeiten</translation>
    </message>
    <message>
        <source>View</source>
        <translation>Ansicht</translation>
    </message>
    <message>
        <source>Lineup</source>
        <translation>Lampenreihe</translation>
    </message>
    <message>
        <source>Colour</source>
        <translation>Farbe</translation>
    </message>
    <message>
        <source>Rig</source>
        <translation>Anlage</translation>
    </message>
    <message>
        <source>On a number or a list</source>
        <translation>Auf einer Zahl oder Liste</translation>
    </message>
    <message>
        <source>Help</source>
        <translation>Hilfe</translation>
    </message>
    <message>
        <source>Groups</source>
        <translation>Gruppen</translation>
    </message>
    <message>
        <source>Change a group</source>
        <translation>Eine Gruppe ändern</translation>
    </message>
    <message>
        <source>Becomes the lineup, in its order</source>
        <translation>Wird die Lampenreihe, in ihrer Reihenfolge</translation>
    </message>
    <message>
        <source>Group %1</source>
        <translation>Gruppe %1</translation>
    </message>
    <message>
        <source>Rename…</source>
        <translation>Umbenennen …</translation>
    </message>
    <message>
        <source>Rename</source>
        <translation>Umbenennen</translation>
    </message>
    <message>
        <source>Name</source>
        <translation>Name</translation>
    </message>
    <message>
        <source>Rename group to %1</source>
        <translation>Gruppe umbenennen in %1</translation>
    </message>
    <message>
        <source>Delete</source>
        <translation>Löschen</translation>
    </message>
    <message>
        <source>Delete group %1</source>
        <translation>Gruppe %1 löschen</translation>
    </message>
    <message>
        <source>Group from the lineup…	Shift+G</source>
        <translation>Gruppe aus der Lampenreihe …	Shift+G</translation>
    </message>
    <message>
        <source>Shows (*.zelo)</source>
        <translation>Shows (*.zelo)</translation>
    </message>
    <message>
        <source>%1 (no file)</source>
        <translation>%1 (keine Datei)</translation>
    </message>
    <message>
        <source>kelvin white</source>
        <translation>Kelvin-Weiß</translation>
    </message>
    <message>
        <source>%1 kelvin white</source>
        <translation>%1 Kelvin-Weiß</translation>
    </message>
    <message>
        <source>white, magenta %1</source>
        <translation>Weiß, magenta %1</translation>
    </message>
    <message>
        <source>white, green %1</source>
        <translation>Weiß, grün %1</translation>
    </message>
    <message>
        <source>Left out: %1</source>
        <translation>Ausgelassen: %1</translation>
    </message>
    <message>
        <source>Gradient %1</source>
        <translation>Verlauf %1</translation>
    </message>
    <message>
        <source>Intensity</source>
        <translation>Intensität</translation>
    </message>
    <message>
        <source>No lamp of the lineup shows a colour to nudge.</source>
        <translation>Keine Lampe der Lampenreihe zeigt eine Farbe, die zu rücken wäre.</translation>
    </message>
    <message>
        <source>Warmer</source>
        <translation>Wärmer</translation>
    </message>
    <message>
        <source>Cooler</source>
        <translation>Kühler</translation>
    </message>
    <message>
        <source>Greener</source>
        <translation>Grüner</translation>
    </message>
    <message>
        <source>Pinker</source>
        <translation>Rosiger</translation>
    </message>
    <message>
        <source>Paler</source>
        <translation>Blasser</translation>
    </message>
    <message>
        <source>Deeper</source>
        <translation>Tiefer</translation>
    </message>
    <message numerus="yes">
        <source>Let go of %n trim(s)</source>
        <translation>
            <numerusform>%n Abgleich loslassen</numerusform>
            <numerusform>%n Abgleiche loslassen</numerusform>
        </translation>
    </message>
    <message>
        <source>Cues</source>
        <translation>Cues</translation>
    </message>
    <message>
        <source>Levels</source>
        <translation>Pegel</translation>
    </message>
    <message>
        <source>Straight</source>
        <translation>Gerade</translation>
    </message>
    <message>
        <source>Around</source>
        <translation>Herum</translation>
    </message>
    <message>
        <source>Through dark</source>
        <translation>Durchs Dunkel</translation>
    </message>
    <message>
        <source>Jump</source>
        <translation>Sprung</translation>
    </message>
    <message>
        <source>No lamp of the lineup has an intensity to halve.</source>
        <translation>Keine Lampe der Lampenreihe hat eine Helligkeit zum Halbieren.</translation>
    </message>
    <message>
        <source>Half as bright</source>
        <translation>Halb so hell</translation>
    </message>
    <message>
        <source>Nothing to copy: the first lamp of the lineup shows nothing, or is alone.</source>
        <translation>Nichts zu kopieren: die erste Lampe der Lampenreihe zeigt nichts, oder ist allein.</translation>
    </message>
    <message>
        <source>As the first lamp</source>
        <translation>Wie die erste Lampe</translation>
    </message>
    <message>
        <source>Step of nudges</source>
        <translation>Schritt beim Rücken von Farben</translation>
    </message>
    <message>
        <source>How far one press makes a colour warmer, greener and so on, in u′v′; with Shift a quarter of it</source>
        <translation>Wie weit ein Druck eine Farbe wärmer, grüner und so fort macht, in u′v′; mit Umschalt ein Viertel davon</translation>
    </message>
    <message>
        <source>A press of a nudge goes %1 far.</source>
        <translation>Ein Druck geht %1 weit.</translation>
    </message>
    <message>
        <source>Ripple</source>
        <translation>Welle</translation>
    </message>
    <message>
        <source>Filmed</source>
        <translation>Gefilmt</translation>
    </message>
    <message>
        <source>camera miss</source>
        <translation>Fehler der Kamera</translation>
    </message>
    <message>
        <source>%1 K</source>
        <translation>%1 K</translation>
    </message>
    <message>
        <source>Balance of %1</source>
        <translation>Abgleich von %1</translation>
    </message>
    <message>
        <source>as the lamp behind this gel</source>
        <translation>wie die Lampe hinter dieser Folie</translation>
    </message>
    <message>
        <source>as this colour</source>
        <translation>wie diese Farbe</translation>
    </message>
    <message>
        <source>Typed…</source>
        <translation>Getippt …</translation>
    </message>
    <message>
        <source>Kelvin</source>
        <translation>Kelvin</translation>
    </message>
    <message>
        <source>%1, at %2%3</source>
        <translation>%1, bei %2%3</translation>
    </message>
    <message>
        <source>, not used</source>
        <translation>, nicht benutzt</translation>
    </message>
    <message>
        <source>Filmed minds it</source>
        <translation>Gefilmt achtet auf sie</translation>
    </message>
    <message>
        <source>Mind %1</source>
        <translation>Auf %1 achten</translation>
    </message>
    <message>
        <source>Leave %1 out</source>
        <translation>%1 auslassen</translation>
    </message>
    <message>
        <source>Balanced to</source>
        <translation>Abgeglichen auf</translation>
    </message>
    <message>
        <source>Remove from the show</source>
        <translation>Aus der Show entfernen</translation>
    </message>
    <message>
        <source>Remove camera %1</source>
        <translation>Kamera %1 entfernen</translation>
    </message>
    <message>
        <source>Add %1</source>
        <translation>%1 hinzufügen</translation>
    </message>
    <message>
        <source>Add camera %1</source>
        <translation>Kamera %1 hinzufügen</translation>
    </message>
    <message>
        <source>From a file…</source>
        <translation>Aus einer Datei …</translation>
    </message>
    <message>
        <source>%1, shares of r g</source>
        <translation>%1, Anteile von r g</translation>
    </message>
    <message>
        <source>Exact for the eye, nearest for cameras</source>
        <translation>Genau fürs Auge, Kameras möglichst nah</translation>
    </message>
    <message>
        <source>Exact for %1, nearest for the eye</source>
        <translation>Genau für %1, dem Auge möglichst nah</translation>
    </message>
    <message>
        <source>All light as it shows it</source>
        <translation>Alles Licht, wie sie es zeigt</translation>
    </message>
    <message>
        <source>Its sensitivities…</source>
        <translation>Ihre Empfindlichkeiten…</translation>
    </message>
    <message>
        <source>No lamps yet: add some in Rig (1).</source>
        <translation>Noch keine Lampen: in Anlage (1) welche hinzufügen.</translation>
    </message>
    <message>
        <source>No lamps in the lineup: choose some first (L).</source>
        <translation>Keine Lampen in der Reihe: erst welche wählen (L).</translation>
    </message>
</context>
<context>
    <name>Sheets</name>
    <message>
        <source>cue</source>
        <translation>Cue</translation>
    </message>
    <message>
        <source>name</source>
        <translation>Name</translation>
    </message>
    <message>
        <source>looks</source>
        <translation>Bild</translation>
    </message>
    <message>
        <source>up</source>
        <translation>auf</translation>
    </message>
    <message>
        <source>down</source>
        <translation>ab</translation>
    </message>
    <message>
        <source>delay</source>
        <translation>Verz.</translation>
    </message>
    <message>
        <source>colour</source>
        <translation>Farbe</translation>
    </message>
    <message>
        <source>follow</source>
        <translation>folgt</translation>
    </message>
    <message>
        <source>route</source>
        <translation>Route</translation>
    </message>
    <message>
        <source>note</source>
        <translation>Notiz</translation>
    </message>
    <message>
        <source>Palettes</source>
        <translation>Paletten</translation>
    </message>
    <message>
        <source>asked for</source>
        <translation>gewünscht</translation>
    </message>
    <message>
        <source>intensity</source>
        <translation>Helligkeit</translation>
    </message>
    <message>
        <source>a gradient</source>
        <translation>ein Verlauf</translation>
    </message>
    <message>
        <source>%1 %</source>
        <translation>%1 %</translation>
    </message>
    <message>
        <source>Patch</source>
        <translation>Patch</translation>
    </message>
    <message>
        <source>lamp</source>
        <translation>Lampe</translation>
    </message>
    <message>
        <source>label</source>
        <translation>Beschriftung</translation>
    </message>
    <message>
        <source>type</source>
        <translation>Typ</translation>
    </message>
    <message>
        <source>mode</source>
        <translation>Modus</translation>
    </message>
    <message>
        <source>universe</source>
        <translation>Universum</translation>
    </message>
    <message>
        <source>address</source>
        <translation>Adresse</translation>
    </message>
</context>
<context>
    <name>WayPoints</name>
    <message>
        <source>Pull a way</source>
        <translation>Einen Weg ziehen</translation>
    </message>
    <message>
        <source>%1 points on a way at most.</source>
        <translation>Höchstens %1 Punkte auf einem Weg.</translation>
    </message>
    <message>
        <source>Let a way go straight again</source>
        <translation>Einen Weg wieder gehen lassen</translation>
    </message>
    <message>
        <source>Point %1 on the way</source>
        <translation>Punkt %1 auf dem Weg</translation>
    </message>
</context>
<context>
    <name>core</name>
    <message>
        <source>no such file</source>
        <translation>keine solche Datei</translation>
    </message>
    <message>
        <source>not a file</source>
        <translation>keine Datei</translation>
    </message>
    <message>
        <source>{} bytes: at most {} are read</source>
        <translation>{} Bytes: höchstens {} werden gelesen</translation>
    </message>
    <message>
        <source>ICC profile of {} bytes: must have at most {}</source>
        <translation>ICC-Profil von {} Bytes: darf höchstens {} haben</translation>
    </message>
    <message>
        <source>the monitor&apos;s profile is no ICC profile</source>
        <translation>das Profil des Bildschirms ist kein ICC-Profil</translation>
    </message>
    <message>
        <source>the monitor&apos;s profile is not of an RGB device</source>
        <translation>das Profil des Bildschirms ist nicht von einem RGB-Gerät</translation>
    </message>
    <message>
        <source>the monitor&apos;s profile has no way from sRGB</source>
        <translation>das Profil des Bildschirms hat keinen Weg von sRGB</translation>
    </message>
    <message>
        <source>row {}</source>
        <translation>Zeile {}</translation>
    </message>
    <message>
        <source>{} wavelengths and {} values: must be as many</source>
        <translation>{} Wellenlängen und {} Werte: es müssen gleich viele sein</translation>
    </message>
    <message>
        <source>{} points: a spectrum needs at least 3</source>
        <translation>{} Punkte: ein Spektrum braucht mindestens 3</translation>
    </message>
    <message>
        <source>{} points: at most {} are read</source>
        <translation>{} Punkte: höchstens {} werden gelesen</translation>
    </message>
    <message>
        <source>wavelength {} nm: must be within 50..5000</source>
        <translation>Wellenlänge {} nm: muss in 50..5000 liegen</translation>
    </message>
    <message>
        <source>wavelength {} nm follows {} nm: must increase</source>
        <translation>Wellenlänge {} nm folgt auf {} nm: muss wachsen</translation>
    </message>
    <message>
        <source>value {} at {} nm: must be a number, 0 to {}</source>
        <translation>Wert {} bei {} nm: muss eine Zahl sein, 0 bis {}</translation>
    </message>
    <message>
        <source>red</source>
        <translation>rot</translation>
    </message>
    <message>
        <source>orange</source>
        <translation>orange</translation>
    </message>
    <message>
        <source>amber</source>
        <translation>bernstein</translation>
    </message>
    <message>
        <source>yellow</source>
        <translation>gelb</translation>
    </message>
    <message>
        <source>lime</source>
        <translation>limone</translation>
    </message>
    <message>
        <source>green</source>
        <translation>grün</translation>
    </message>
    <message>
        <source>turquoise</source>
        <translation>türkis</translation>
    </message>
    <message>
        <source>cyan</source>
        <translation>cyan</translation>
    </message>
    <message>
        <source>blue</source>
        <translation>blau</translation>
    </message>
    <message>
        <source>violet</source>
        <translation>violett</translation>
    </message>
    <message>
        <source>purple</source>
        <translation>purpur</translation>
    </message>
    <message>
        <source>magenta</source>
        <translation>magenta</translation>
    </message>
    <message>
        <source>black</source>
        <translation>schwarz</translation>
    </message>
    <message>
        <source>dark</source>
        <translation>dunkel</translation>
    </message>
    <message>
        <source>white</source>
        <translation>weiß</translation>
    </message>
    <message>
        <source>grey</source>
        <translation>grau</translation>
    </message>
    <message>
        <source>pink</source>
        <translation>rosa</translation>
    </message>
    <message>
        <source>straw</source>
        <translation>stroh</translation>
    </message>
    <message>
        <source>lavender</source>
        <translation>lavendel</translation>
    </message>
    <message>
        <source>warm</source>
        <translation>warm</translation>
    </message>
    <message>
        <source>cool</source>
        <translation>kühl</translation>
    </message>
    <message>
        <source>pale</source>
        <translation>blass</translation>
    </message>
    <message>
        <source>deep</source>
        <translation>tief</translation>
    </message>
    <message>
        <source>light</source>
        <translation>hell</translation>
    </message>
    <message>
        <source>the archive is damaged</source>
        <translation>das Archiv ist beschädigt</translation>
    </message>
    <message>
        <source>{}: {} bytes unpacked, at most {} are read</source>
        <translation>{}: {} Bytes ausgepackt, höchstens {} werden gelesen</translation>
    </message>
    <message>
        <source>{}: {}</source>
        <translation>{}: {}</translation>
    </message>
    <message>
        <source>{}: the archive is damaged</source>
        <translation>{}: das Archiv ist beschädigt</translation>
    </message>
    <message>
        <source>more than {} bytes in the archive</source>
        <translation>mehr als {} Bytes im Archiv</translation>
    </message>
    <message>
        <source>more than {} files in the archive</source>
        <translation>mehr als {} Dateien im Archiv</translation>
    </message>
    <message>
        <source>not {}: {}</source>
        <translation>nicht {}: {}</translation>
    </message>
    <message>
        <source>cannot make an archive: {}</source>
        <translation>kann kein Archiv machen: {}</translation>
    </message>
    <message>
        <source>cannot make an archive</source>
        <translation>kann kein Archiv machen</translation>
    </message>
    <message>
        <source>line {}: &apos;{}&apos;: only Ident 3:0 is read</source>
        <translation>Zeile {}: „{}“: nur Ident 3:0 wird gelesen</translation>
    </message>
    <message>
        <source>line {}</source>
        <translation>Zeile {}</translation>
    </message>
    <message>
        <source>no line &apos;Ident 3:0&apos;: not an ASCII cue file</source>
        <translation>keine Zeile „Ident 3:0“: keine ASCII-Cue-Datei</translation>
    </message>
    <message>
        <source>{} without a number</source>
        <translation>{} ohne Nummer</translation>
    </message>
    <message>
        <source>more than {} cues and groups</source>
        <translation>mehr als {} Cues und Gruppen</translation>
    </message>
    <message>
        <source>Followon: expected seconds</source>
        <translation>Followon: erwartet Sekunden</translation>
    </message>
    <message>
        <source>line {}: {} is not read</source>
        <translation>Zeile {}: {} wird nicht gelesen</translation>
    </message>
    <message>
        <source>Patch: expected a page, then CHANNEL&lt;DIMMER@LEVEL</source>
        <translation>Patch: erwartet eine Seite, dann KANAL&lt;DIMMER@PEGEL</translation>
    </message>
    <message>
        <source>Patch: expected CHANNEL&lt;DIMMER@LEVEL, level 0..100 or H00..HFF</source>
        <translation>Patch: erwartet KANAL&lt;DIMMER@PEGEL, Pegel 0..100 oder H00..HFF</translation>
    </message>
    <message>
        <source>more than {} levels</source>
        <translation>mehr als {} Pegel</translation>
    </message>
    <message>
        <source>Chan: expected CHANNEL@LEVEL, level 0..100 or H00..HFF</source>
        <translation>Chan: erwartet KANAL@PEGEL, Pegel 0..100 oder H00..HFF</translation>
    </message>
    <message>
        <source>{}: expected seconds or minutes:seconds</source>
        <translation>{}: erwartet Sekunden oder Minuten:Sekunden</translation>
    </message>
    <message>
        <source>line {}: more than {} words</source>
        <translation>Zeile {}: mehr als {} Wörter</translation>
    </message>
    <message>
        <source>a quote is not closed</source>
        <translation>ein Anführungszeichen ist nicht geschlossen</translation>
    </message>
    <message>
        <source>the file is empty</source>
        <translation>die Datei ist leer</translation>
    </message>
    <message>
        <source>more than {} fields</source>
        <translation>mehr als {} Felder</translation>
    </message>
    <message>
        <source>more than {} rows</source>
        <translation>mehr als {} Zeilen</translation>
    </message>
    <message>
        <source>{} values left over: each row needs {}</source>
        <translation>{} Werte übrig: jede Zeile braucht {}</translation>
    </message>
    <message>
        <source>no BEGIN_DATA: expected a CGATS.17 table</source>
        <translation>kein BEGIN_DATA: erwartet eine CGATS.17-Tabelle</translation>
    </message>
    <message>
        <source>NUMBER_OF_SETS says {}, the table has {} rows</source>
        <translation>NUMBER_OF_SETS sagt {}, die Tabelle hat {} Zeilen</translation>
    </message>
    <message>
        <source>{} spectral columns: expected 3 or more, named like SPECTRAL_NM400</source>
        <translation>{} spektrale Spalten: erwartet 3 oder mehr, benannt wie SPECTRAL_NM400</translation>
    </message>
    <message>
        <source>&apos;{}&apos; in {}: expected a number</source>
        <translation>„{}“ in {}: erwartet eine Zahl</translation>
    </message>
    <message>
        <source>not readable as base64</source>
        <translation>nicht als base64 lesbar</translation>
    </message>
    <message>
        <source>{} emitters, flags, wheels and axes: at most {}</source>
        <translation>{} Emitter, Flaggen, Räder und Achsen: höchstens {}</translation>
    </message>
    <message>
        <source>DMXMode &apos;{}&apos;</source>
        <translation>DMXMode „{}“</translation>
    </message>
    <message>
        <source>more than {} modes</source>
        <translation>mehr als {} Modi</translation>
    </message>
    <message>
        <source>no modes</source>
        <translation>keine Modi</translation>
    </message>
    <message>
        <source>flag {}: no filter, transmittance modelled</source>
        <translation>Flagge {}: kein Filter, Durchlass modelliert</translation>
    </message>
    <message>
        <source>Tint: told as a share, taken as Duv ±0.02</source>
        <translation>Tint: als Anteil gesagt, als Duv ±0.02 genommen</translation>
    </message>
    <message>
        <source>more than {} channels</source>
        <translation>mehr als {} Kanäle</translation>
    </message>
    <message>
        <source>no channels</source>
        <translation>keine Kanäle</translation>
    </message>
    <message>
        <source>Offset &apos;{}&apos;: expected up to four numbers from 1 to 512</source>
        <translation>Offset „{}“: erwartet bis zu vier Zahlen von 1 bis 512</translation>
    </message>
    <message>
        <source>{}: its fourth byte is left at 0</source>
        <translation>{}: sein viertes Byte bleibt auf 0</translation>
    </message>
    <message>
        <source>a second channel for {} is left at home</source>
        <translation>ein zweiter Kanal für {} bleibt in Ruhe</translation>
    </message>
    <message>
        <source>MeasurementPoint {}: WaveLength &apos;{}&apos; and Energy &apos;{}&apos; must be numbers</source>
        <translation>MeasurementPoint {}: WaveLength „{}“ und Energy „{}“ müssen Zahlen sein</translation>
    </message>
    <message>
        <source>too many MeasurementPoints</source>
        <translation>zu viele MeasurementPoints</translation>
    </message>
    <message>
        <source>an emitter needs a Name</source>
        <translation>ein Emitter braucht einen Namen (Name)</translation>
    </message>
    <message>
        <source>{}: no measurement, spectrum modelled</source>
        <translation>{}: keine Messung, Spektrum modelliert</translation>
    </message>
    <message>
        <source>no Measurement, and no Color or DominantWaveLength to model one from</source>
        <translation>kein Measurement, und weder Color noch DominantWaveLength, um eines zu modellieren</translation>
    </message>
    <message>
        <source>{}: no LuminousIntensity, its energies are taken as W/(sr nm)</source>
        <translation>{}: keine LuminousIntensity, die Energien werden als W/(sr nm) genommen</translation>
    </message>
    <message>
        <source>a filter needs a Name</source>
        <translation>ein Filter braucht einen Namen (Name)</translation>
    </message>
    <message>
        <source>no Measurement, and no Color to model one from</source>
        <translation>kein Measurement, und keine Color, um eines zu modellieren</translation>
    </message>
    <message>
        <source>{}: no measurement, transmittance modelled</source>
        <translation>{}: keine Messung, Durchlass modelliert</translation>
    </message>
    <message>
        <source>a wheel needs a Name</source>
        <translation>ein Rad braucht einen Namen (Name)</translation>
    </message>
    <message>
        <source>{}: slot &apos;{}&apos; is modelled from its colour</source>
        <translation>{}: Platz „{}“ ist aus seiner Farbe modelliert</translation>
    </message>
    <message>
        <source>more than {} slots</source>
        <translation>mehr als {} Plätze</translation>
    </message>
    <message>
        <source>no slots</source>
        <translation>keine Plätze</translation>
    </message>
    <message>
        <source>DMXProfile &apos;{}&apos;</source>
        <translation>DMXProfile „{}“</translation>
    </message>
    <message>
        <source>a text of more than {} bytes</source>
        <translation>ein Text von mehr als {} Bytes</translation>
    </message>
    <message>
        <source>more than {} members in one object</source>
        <translation>mehr als {} Einträge in einem Objekt</translation>
    </message>
    <message>
        <source>more than {} values</source>
        <translation>mehr als {} Werte</translation>
    </message>
    <message>
        <source>more than {} lists and objects in each other</source>
        <translation>mehr als {} Listen und Objekte ineinander</translation>
    </message>
    <message>
        <source>a number in it is too large for any computer</source>
        <translation>eine Zahl darin ist zu groß für jeden Rechner</translation>
    </message>
    <message>
        <source>not readable as JSON from here</source>
        <translation>von hier an nicht als JSON lesbar</translation>
    </message>
    <message>
        <source>expected an object {{…}}</source>
        <translation>erwartet ein Objekt {{…}}</translation>
    </message>
    <message>
        <source>{}: must be a number within {}..{}</source>
        <translation>{}: muss eine Zahl in {}..{} sein</translation>
    </message>
    <message>
        <source>{}: must be a whole number</source>
        <translation>{}: muss eine ganze Zahl sein</translation>
    </message>
    <message>
        <source>expected true or false</source>
        <translation>erwartet true oder false</translation>
    </message>
    <message>
        <source>expected text</source>
        <translation>erwartet Text</translation>
    </message>
    <message>
        <source>expected a list of at most {}</source>
        <translation>erwartet eine Liste von höchstens {}</translation>
    </message>
    <message>
        <source>line {}: longer than {} bytes</source>
        <translation>Zeile {}: länger als {} Bytes</translation>
    </message>
    <message>
        <source>more than {} lines</source>
        <translation>mehr als {} Zeilen</translation>
    </message>
    <message>
        <source>more than {} elements or {} attributes</source>
        <translation>mehr als {} Elemente oder {} Attribute</translation>
    </message>
    <message>
        <source>{} line {}</source>
        <translation>{} Zeile {}</translation>
    </message>
    <message>
        <source>expected 401 powers, 380 to 780 nm</source>
        <translation>erwartet 401 Leistungen, 380 bis 780 nm</translation>
    </message>
    <message>
        <source>a power must be within 0..{}</source>
        <translation>eine Leistung muss in 0..{} liegen</translation>
    </message>
    <message>
        <source>is missing: a colour such as &quot;gel:214@3200&quot;</source>
        <translation>fehlt: eine Farbe wie &quot;gel:214@3200&quot;</translation>
    </message>
    <message>
        <source>{}: {}; taken for the colour kept with it</source>
        <translation>{}: {}; genommen wird die damit bewahrte Farbe</translation>
    </message>
    <message>
        <source>expected the name of an emitter</source>
        <translation>erwartet den Namen eines Emitters</translation>
    </message>
    <message>
        <source>expected at most {} levels by name</source>
        <translation>erwartet höchstens {} Pegel mit Namen</translation>
    </message>
    <message>
        <source>a drive must be within 0..1</source>
        <translation>ein Pegel muss in 0..1 liegen</translation>
    </message>
    <message>
        <source>{}: follows palette {}, which is not there: {}</source>
        <translation>{}: folgt Palette {}, die nicht da ist: {}</translation>
    </message>
    <message>
        <source>{}: no fixture with id {}: left out</source>
        <translation>{}: kein Gerät mit Kennzahl {}: ausgelassen</translation>
    </message>
    <message>
        <source>expected the id of a fixture</source>
        <translation>erwartet die Kennzahl eines Geräts</translation>
    </message>
    <message>
        <source>is missing: whose value is this?</source>
        <translation>fehlt: wessen Wert ist das?</translation>
    </message>
    <message>
        <source>{}: there is no such one in colours</source>
        <translation>{}: das gibt es in colours nicht</translation>
    </message>
    <message>
        <source>a fixture is there twice</source>
        <translation>ein Gerät ist zweimal da</translation>
    </message>
    <message>
        <source>a palette needs an id and a name that no other has</source>
        <translation>eine Palette braucht eine Kennzahl und einen Namen, den keine andere hat</translation>
    </message>
    <message>
        <source>a look needs an id of its own and a name</source>
        <translation>ein Look braucht eine eigene Kennzahl und einen Namen</translation>
    </message>
    <message>
        <source>expected a point [x_m, y_m]</source>
        <translation>erwartet einen Punkt [x_m, y_m]</translation>
    </message>
    <message>
        <source>a measured light needs a name</source>
        <translation>ein gemessenes Licht braucht einen Namen</translation>
    </message>
    <message>
        <source>expected at most {} spectra by name</source>
        <translation>erwartet höchstens {} Spektren mit Namen</translation>
    </message>
    <message>
        <source>a GDTF archive</source>
        <translation>ein GDTF-Archiv</translation>
    </message>
    <message>
        <source>expected a colour as text</source>
        <translation>erwartet eine Farbe als Text</translation>
    </message>
    <message>
        <source>{}: {}: left out</source>
        <translation>{}: {}: ausgelassen</translation>
    </message>
    <message>
        <source>&apos;{}&apos;: expected E1.31 or Art-Net</source>
        <translation>„{}“: erwartet E1.31 oder Art-Net</translation>
    </message>
    <message>
        <source>fixture type &apos;{}&apos;: the show&apos;s types are more than {} MB in all</source>
        <translation>Gerätetyp „{}“: die Typen der Show sind zusammen mehr als {} MB</translation>
    </message>
    <message>
        <source>fixture type &apos;{}&apos;</source>
        <translation>Gerätetyp „{}“</translation>
    </message>
    <message>
        <source>its RDM numbers cannot be read</source>
        <translation>seine RDM-Nummern sind nicht lesbar</translation>
    </message>
    <message>
        <source>more than {} emitters</source>
        <translation>mehr als {} Emitter</translation>
    </message>
    <message>
        <source>no emitters: the lamp is modelled from the Beam</source>
        <translation>keine Emitter: die Lampe ist aus dem Beam modelliert</translation>
    </message>
    <message>
        <source>no emitters, and no Beam with ColorTemperature and LuminousFlux to model a lamp from</source>
        <translation>keine Emitter, und kein Beam mit ColorTemperature und LuminousFlux, um eine Lampe zu modellieren</translation>
    </message>
    <message>
        <source>more than {} filters</source>
        <translation>mehr als {} Filter</translation>
    </message>
    <message>
        <source>zelochrome.json is not read: expected {{&quot;emitters&quot;: {{…}}}}</source>
        <translation>zelochrome.json wird nicht gelesen: erwartet {{&quot;emitters&quot;: {{…}}}}</translation>
    </message>
    <message>
        <source>more than {} bytes or {} files in the folder</source>
        <translation>mehr als {} Bytes oder {} Dateien im Ordner</translation>
    </message>
    <message>
        <source>root &lt;{}&gt;: expected &lt;GDTF&gt;</source>
        <translation>Wurzel &lt;{}&gt;: erwartet &lt;GDTF&gt;</translation>
    </message>
    <message>
        <source>no description.xml in it</source>
        <translation>keine description.xml darin</translation>
    </message>
    <message>
        <source>no such fixture file or folder</source>
        <translation>keine solche Gerätedatei und kein solcher Ordner</translation>
    </message>
    <message>
        <source>there is something else of this name: expected NAME.gdtf, a new folder, or a folder with description.xml</source>
        <translation>etwas anderes hat schon diesen Namen: erwartet NAME.gdtf, ein neuer Ordner oder ein Ordner mit description.xml</translation>
    </message>
    <message>
        <source>more than {} groups in each other</source>
        <translation>mehr als {} Gruppen ineinander</translation>
    </message>
    <message>
        <source>the rig is {:.0f} m across and {:.0f} m up from the middle of its drawing: moved to the middle of the plan</source>
        <translation>die Anlage liegt {:.0f} m seitlich und {:.0f} m oberhalb der Mitte ihrer Zeichnung: in die Mitte des Plans gerückt</translation>
    </message>
    <message>
        <source>fixture {}: beyond {} m from the middle: put there</source>
        <translation>Gerät {}: mehr als {} m von der Mitte: dorthin gesetzt</translation>
    </message>
    <message>
        <source>and more of the kind</source>
        <translation>und mehr dergleichen</translation>
    </message>
    <message>
        <source>Fixture {} &apos;{}&apos;</source>
        <translation>Gerät {} „{}“</translation>
    </message>
    <message>
        <source>{}: FixtureID &apos;{}&apos; is no number up to {}: it gets {}</source>
        <translation>{}: FixtureID „{}“ ist keine Zahl bis {}: es bekommt {}</translation>
    </message>
    <message>
        <source>{}: only its first address is read</source>
        <translation>{}: nur die erste Adresse wird gelesen</translation>
    </message>
    <message>
        <source>{}: no address, set to 1.1</source>
        <translation>{}: keine Adresse, auf 1.1 gesetzt</translation>
    </message>
    <message>
        <source>more than {} fixtures</source>
        <translation>mehr als {} Geräte</translation>
    </message>
    <message>
        <source>Address &apos;{}&apos;: expected a number from 1, or UNIVERSE.ADDRESS</source>
        <translation>Address „{}“: erwartet eine Zahl ab 1, oder UNIVERSUM.ADRESSE</translation>
    </message>
    <message>
        <source>an MVR archive</source>
        <translation>ein MVR-Archiv</translation>
    </message>
    <message>
        <source>no {} in it</source>
        <translation>kein {} darin</translation>
    </message>
    <message>
        <source>{}: no GeneralSceneDescription in it</source>
        <translation>{}: keine GeneralSceneDescription darin</translation>
    </message>
    <message>
        <source>line {}: &apos;{}&apos;: expected red, green, blue (0..255) and a name</source>
        <translation>Zeile {}: „{}“: erwartet Rot, Grün, Blau (0..255) und einen Namen</translation>
    </message>
    <message>
        <source>more than {} colours</source>
        <translation>mehr als {} Farben</translation>
    </message>
    <message>
        <source>line 1: expected a heading with name, u&apos; and v&apos;</source>
        <translation>Zeile 1: erwartet eine Kopfzeile mit name, u&apos; und v&apos;</translation>
    </message>
    <message>
        <source>line 1: more than {} columns</source>
        <translation>Zeile 1: mehr als {} Spalten</translation>
    </message>
    <message>
        <source>line {}: u&apos; &apos;{}&apos; and v&apos; &apos;{}&apos; must be within 0..1</source>
        <translation>Zeile {}: u&apos; „{}“ und v&apos; „{}“ müssen in 0..1 liegen</translation>
    </message>
    <message>
        <source>line {}: more than {} levels</source>
        <translation>Zeile {}: mehr als {} Pegel</translation>
    </message>
    <message>
        <source>not unsaved work of Zelochrome</source>
        <translation>keine ungesicherte Arbeit von Zelochrome</translation>
    </message>
    <message>
        <source>is missing: a whole number from 1</source>
        <translation>fehlt: eine ganze Zahl ab 1</translation>
    </message>
    <message>
        <source>is missing: the id of a fixture type</source>
        <translation>fehlt: die Kennung eines Gerätetyps</translation>
    </message>
    <message>
        <source>id {} is there twice</source>
        <translation>Kennzahl {} ist zweimal da</translation>
    </message>
    <message>
        <source>a group needs an id of its own and a name</source>
        <translation>eine Gruppe braucht eine eigene Kennzahl und einen Namen</translation>
    </message>
    <message>
        <source>{}: {}: no fixture with this id: left out</source>
        <translation>{}: {}: kein Gerät mit dieser Kennzahl: ausgelassen</translation>
    </message>
    <message>
        <source>and {} more of the kind</source>
        <translation>und {} mehr dergleichen</translation>
    </message>
    <message>
        <source>not a Zelochrome show: &quot;format&quot; is not &quot;{}&quot;</source>
        <translation>keine Zelochrome-Show: &quot;format&quot; ist nicht &quot;{}&quot;</translation>
    </message>
    <message>
        <source>saved by a newer Zelochrome (format version {}, this one reads up to {})</source>
        <translation>von einem neueren Zelochrome gesichert (Format {}, dieses liest bis {})</translation>
    </message>
    <message>
        <source>version: must be a whole number from 1</source>
        <translation>version: muss eine ganze Zahl ab 1 sein</translation>
    </message>
    <message>
        <source>the show is {} MB: {} MB at most can be opened again</source>
        <translation>die Show hat {} MB: höchstens {} MB lassen sich wieder öffnen</translation>
    </message>
    <message>
        <source>what was written loses something: {}</source>
        <translation>was geschrieben wurde, verliert etwas: {}</translation>
    </message>
    <message>
        <source>what was written reads as another show</source>
        <translation>was geschrieben wurde, liest sich als andere Show</translation>
    </message>
    <message>
        <source>root &lt;{}&gt;: expected &lt;IESTM27…&gt;</source>
        <translation>Wurzel &lt;{}&gt;: erwartet &lt;IESTM27…&gt;</translation>
    </message>
    <message>
        <source>SpectralData {}: wavelength &apos;{}&apos; and value &apos;{}&apos; must be numbers</source>
        <translation>SpectralData {}: Wellenlänge „{}“ und Wert „{}“ müssen Zahlen sein</translation>
    </message>
    <message>
        <source>{} rows: a file of one light has one</source>
        <translation>{} Zeilen: eine Datei mit einem Licht hat eine</translation>
    </message>
    <message>
        <source>ending &apos;{}&apos;: expected .csv, .sp, .txt or .spdx</source>
        <translation>Endung „{}“: erwartet .csv, .sp, .txt oder .spdx</translation>
    </message>
    <message>
        <source>no field SAMPLE_ID: each gel needs its number</source>
        <translation>kein Feld SAMPLE_ID: jede Folie braucht ihre Nummer</translation>
    </message>
    <message>
        <source>more than {} gels</source>
        <translation>mehr als {} Folien</translation>
    </message>
    <message>
        <source>&apos;{}&apos;: the heading must be id,name, then wavelengths</source>
        <translation>„{}“: die Kopfzeile muss id,name sein, dann Wellenlängen</translation>
    </message>
    <message>
        <source>the heading must be id,name, then 3 or more wavelengths</source>
        <translation>die Kopfzeile muss id,name sein, dann 3 oder mehr Wellenlängen</translation>
    </message>
    <message>
        <source>{} cells: the heading has {}</source>
        <translation>{} Zellen: die Kopfzeile hat {}</translation>
    </message>
    <message>
        <source>&apos;{}&apos; at {} nm: expected a number</source>
        <translation>„{}“ bei {} nm: erwartet eine Zahl</translation>
    </message>
    <message>
        <source>more than {} gels or {} values</source>
        <translation>mehr als {} Folien oder {} Werte</translation>
    </message>
    <message>
        <source>no gels in it</source>
        <translation>keine Folien darin</translation>
    </message>
    <message>
        <source>values up to {}: taken as percent, not as 0 to 1</source>
        <translation>Werte bis {}: als Prozent genommen, nicht als 0 bis 1</translation>
    </message>
    <message>
        <source>a gel without a number</source>
        <translation>eine Folie ohne Nummer</translation>
    </message>
    <message>
        <source>gel {} is there twice</source>
        <translation>Folie {} ist zweimal da</translation>
    </message>
    <message>
        <source>gel {}: transmittance {}: must be within 0..1</source>
        <translation>Folie {}: Durchlass {}: muss in 0..1 liegen</translation>
    </message>
    <message>
        <source>{}, gel {}</source>
        <translation>{}, Folie {}</translation>
    </message>
    <message>
        <source>TM-27 holds one light, not a swatch book</source>
        <translation>TM-27 hält ein Licht, kein Farbbuch</translation>
    </message>
    <message>
        <source>all of these are palettes already, or none is a gel</source>
        <translation>alle davon sind schon Paletten, oder keine ist eine Folie</translation>
    </message>
    <message>
        <source>{}: cannot read</source>
        <translation>{}: nicht lesbar</translation>
    </message>
    <message>
        <source>no lock: {}</source>
        <translation>keine Sperre: {}</translation>
    </message>
    <message>
        <source>open in another program ({})</source>
        <translation>in einem anderen Programm offen ({})</translation>
    </message>
    <message>
        <source>is read-only: save it under another name</source>
        <translation>ist schreibgeschützt: unter anderem Namen sichern</translation>
    </message>
    <message>
        <source>the disk does not give back what was written</source>
        <translation>die Platte gibt nicht zurück, was geschrieben wurde</translation>
    </message>
    <message>
        <source>not saved: it was stopped</source>
        <translation>nicht gesichert: es wurde angehalten</translation>
    </message>
    <message>
        <source>the show has no file yet</source>
        <translation>die Show hat noch keine Datei</translation>
    </message>
    <message>
        <source>was changed by another program meanwhile</source>
        <translation>wurde inzwischen von einem anderen Programm geändert</translation>
    </message>
    <message>
        <source>no gel {} in the swatch book</source>
        <translation>keine Folie {} im Farbbuch</translation>
    </message>
    <message>
        <source>no palette &apos;{}&apos;: no show is open</source>
        <translation>keine Palette „{}“: keine Show ist offen</translation>
    </message>
    <message>
        <source>no palette &apos;{}&apos; in the show &apos;{}&apos;</source>
        <translation>keine Palette „{}“ in der Show „{}“</translation>
    </message>
    <message>
        <source>palette &apos;{}&apos; has an intensity and no colour</source>
        <translation>Palette „{}“ hat eine Intensität und keine Farbe</translation>
    </message>
    <message>
        <source>palette &apos;{}&apos; is itself &apos;{}&apos;</source>
        <translation>Palette „{}“ ist selbst „{}“</translation>
    </message>
    <message>
        <source>&apos;{}&apos;: neither a fixture type of the library ({}) nor a GDTF file or folder</source>
        <translation>„{}“: weder ein Gerätetyp der Bibliothek ({}) noch eine GDTF-Datei oder ein Ordner</translation>
    </message>
    <message>
        <source>log level &apos;{}&apos;: expected debug, info, warning or error</source>
        <translation>Protokollstufe „{}“: erwartet debug, info, warning oder error</translation>
    </message>
    <message>
        <source>no log: {}</source>
        <translation>kein Protokoll: {}</translation>
    </message>
    <message>
        <source>the meter: {}</source>
        <translation>das Messgerät: {}</translation>
    </message>
    <message>
        <source>&apos;{}&apos;: expected measure ID</source>
        <translation>„{}“: erwartet measure KENNZAHL</translation>
    </message>
    <message>
        <source>not sent to {}: choose a network first, until then all stays on this computer</source>
        <translation>nicht an {} gesendet: erst ein Netz wählen, bis dahin bleibt alles auf diesem Rechner</translation>
    </message>
    <message>
        <source>the data folder (fixtures, gels, shows) is not there; looked in {} and above; $ZELOCHROME_DATA may name it</source>
        <translation>der Datenordner (Geräte, Folien, Shows) ist nicht da; gesucht in {} und darüber; $ZELOCHROME_DATA kann ihn nennen</translation>
    </message>
    <message>
        <source>is {}, patched as {}</source>
        <translation>ist {}, gepatcht als {}</translation>
    </message>
    <message>
        <source>is {}, patched at {}.{}, {}</source>
        <translation>ist {}, gepatcht auf {}.{}, {}</translation>
    </message>
    <message>
        <source>is {}, patched at {}.{}</source>
        <translation>ist {}, gepatcht auf {}.{}</translation>
    </message>
    <message>
        <source>is {} in the show</source>
        <translation>ist {} in der Show</translation>
    </message>
    <message>
        <source>does not say what it is</source>
        <translation>sagt nicht, was es ist</translation>
    </message>
    <message>
        <source>being asked</source>
        <translation>wird gefragt</translation>
    </message>
    <message>
        <source>new</source>
        <translation>neu</translation>
    </message>
    <message>
        <source>new, and no fixture type is like it</source>
        <translation>neu, und kein Gerätetyp ist wie es</translation>
    </message>
    <message>
        <source>none of what was found is new and of a known type</source>
        <translation>nichts vom Gefundenen ist neu und von bekanntem Typ</translation>
    </message>
    <message>
        <source>{} is no fixture of the show</source>
        <translation>{} ist kein Gerät der Show</translation>
    </message>
    <message>
        <source>Recover unsaved work</source>
        <translation>Ungesicherte Arbeit zurückholen</translation>
    </message>
    <message>
        <source>Keep in the look</source>
        <translation>Im Look behalten</translation>
    </message>
    <message>
        <source>Put down</source>
        <translation>Ablegen</translation>
    </message>
    <message>
        <source>&apos;{}&apos;: a colour temperature is a number from {} to {} K</source>
        <translation>„{}“: eine Farbtemperatur ist eine Zahl von {} bis {} K</translation>
    </message>
    <message>
        <source>{}: expected gel:ID, gel:ID@LAMP or gel:ID+gel:ID</source>
        <translation>{}: erwartet gel:ID, gel:ID@LAMPE oder gel:ID+gel:ID</translation>
    </message>
    <message>
        <source>{}: expected cct:KELVIN/DUV with a Duv within -0.05..0.05</source>
        <translation>{}: erwartet cct:KELVIN/DUV mit einem Duv in -0.05..0.05</translation>
    </message>
    <message>
        <source>{}: expected two numbers from 0 to 1 with a comma between</source>
        <translation>{}: erwartet zwei Zahlen von 0 bis 1 mit einem Komma dazwischen</translation>
    </message>
    <message>
        <source>{}: expected srgb:#RRGGBB with six hex digits</source>
        <translation>{}: erwartet srgb:#RRGGBB mit sechs Hexziffern</translation>
    </message>
    <message>
        <source>&apos;{}&apos;: a colour begins with gel:, cct:, xy:, uv:, srgb:, spd: or palette:</source>
        <translation>„{}“: eine Farbe beginnt mit gel:, cct:, xy:, uv:, srgb:, spd: oder palette:</translation>
    </message>
    <message>
        <source>{} over {}</source>
        <translation>{} über {}</translation>
    </message>
    <message>
        <source>{} before {}</source>
        <translation>{} vor {}</translation>
    </message>
    <message>
        <source>{} at {:.0f} K</source>
        <translation>{} bei {:.0f} K</translation>
    </message>
    <message>
        <source>white of {:.0f} K, tint {:+.4f}</source>
        <translation>Weiß von {:.0f} K, Stich {:+.4f}</translation>
    </message>
    <message>
        <source>white of {:.0f} K</source>
        <translation>Weiß von {:.0f} K</translation>
    </message>
    <message>
        <source>measured {}</source>
        <translation>{}, gemessen</translation>
    </message>
    <message>
        <source>palette {}</source>
        <translation>Palette {}</translation>
    </message>
    <message>
        <source>a response curve needs at least one point</source>
        <translation>eine Kennlinie braucht mindestens einen Punkt</translation>
    </message>
    <message>
        <source>point {} of a response curve is not a number</source>
        <translation>Punkt {} einer Kennlinie ist keine Zahl</translation>
    </message>
    <message>
        <source>point {} of a response curve at {}: must increase</source>
        <translation>Punkt {} einer Kennlinie bei {}: muss wachsen</translation>
    </message>
    <message>
        <source>an emitter needs a name</source>
        <translation>ein Emitter braucht einen Namen</translation>
    </message>
    <message>
        <source>there is a &apos;{}&apos; already</source>
        <translation>es gibt schon ein „{}“</translation>
    </message>
    <message>
        <source>{} has no mode {}</source>
        <translation>{} hat keinen Modus {}</translation>
    </message>
    <message>
        <source>peak {} nm: must be within 380..780</source>
        <translation>Gipfel {} nm: muss in 380..780 liegen</translation>
    </message>
    <message>
        <source>width {} nm: must be within 2..200</source>
        <translation>Breite {} nm: muss in 2..200 liegen</translation>
    </message>
    <message>
        <source>{} cd: must be above 0</source>
        <translation>{} cd: muss über 0 sein</translation>
    </message>
    <message>
        <source>&apos;{}&apos;: a fixture type&apos;s name needs a letter or a figure</source>
        <translation>„{}“: der Name eines Gerätetyps braucht einen Buchstaben oder eine Ziffer</translation>
    </message>
    <message>
        <source>{} has {} parts: there is no room for one more</source>
        <translation>{} hat {} Teile: für einen mehr ist kein Platz</translation>
    </message>
    <message>
        <source>{} has no emitter {}</source>
        <translation>{} hat keinen Emitter {}</translation>
    </message>
    <message>
        <source>{} bits: must be 8, 16 or 24</source>
        <translation>{} Bit: muss 8, 16 oder 24 sein</translation>
    </message>
    <message>
        <source>mode &apos;{}&apos; does not set {}</source>
        <translation>Modus „{}“ setzt {} nicht</translation>
    </message>
    <message>
        <source>{}: no visible light</source>
        <translation>{}: kein sichtbares Licht</translation>
    </message>
    <message>
        <source>{}: no light has this chromaticity</source>
        <translation>{}: kein Licht hat diese Farbart</translation>
    </message>
    <message>
        <source>{}: black is no colour of light</source>
        <translation>{}: Schwarz ist keine Farbe von Licht</translation>
    </message>
    <message>
        <source>give-up {}: must be within 0..1</source>
        <translation>Verzicht {}: muss in 0..1 liegen</translation>
    </message>
    <message>
        <source>emitter {} is named twice among keep-outs and pins: once at most</source>
        <translation>Emitter {} ist zweimal unter Ausgelassenen und Festgehaltenen genannt: höchstens einmal</translation>
    </message>
    <message>
        <source>pin at {}: must be within 0..1</source>
        <translation>festgehalten bei {}: muss in 0..1 liegen</translation>
    </message>
    <message>
        <source>Patch</source>
        <translation>Patch</translation>
    </message>
    <message>
        <source>Intensity</source>
        <translation>Intensität</translation>
    </message>
    <message>
        <source>Colour</source>
        <translation>Farbe</translation>
    </message>
    <message>
        <source>Emitters</source>
        <translation>Emitter</translation>
    </message>
    <message>
        <source>Output</source>
        <translation>Ausgabe</translation>
    </message>
    <message>
        <source>the library has no fixture type &apos;{}&apos;</source>
        <translation>die Bibliothek hat keinen Gerätetyp „{}“</translation>
    </message>
    <message>
        <source>the library has no fixture type &apos;{}&apos; with mode &apos;{}&apos;</source>
        <translation>die Bibliothek hat keinen Gerätetyp „{}“ mit Modus „{}“</translation>
    </message>
    <message>
        <source>not sent: its slots run from {} to {}, past 512</source>
        <translation>nicht gesendet: seine Plätze reichen von {} bis {}, über 512 hinaus</translation>
    </message>
    <message>
        <source>universe {}, slots {} to {}</source>
        <translation>Universum {}, Plätze {} bis {}</translation>
    </message>
    <message>
        <source>{}: {} of them are taken by {}</source>
        <translation>{}: {} davon hat {}</translation>
    </message>
    <message>
        <source>{}: {} of them it takes from {}</source>
        <translation>{}: {} davon nimmt es {} weg</translation>
    </message>
    <message>
        <source>palette &apos;{}&apos;, held in hand</source>
        <translation>Palette „{}“, in der Hand</translation>
    </message>
    <message>
        <source>palette &apos;{}&apos;, in the look</source>
        <translation>Palette „{}“, im Look</translation>
    </message>
    <message>
        <source>held in hand</source>
        <translation>in der Hand</translation>
    </message>
    <message>
        <source>in the look</source>
        <translation>im Look</translation>
    </message>
    <message>
        <source>not set</source>
        <translation>nicht gesetzt</translation>
    </message>
    <message>
        <source>{:.0f} %, {}</source>
        <translation>{:.0f} %, {}</translation>
    </message>
    <message>
        <source>set one by one, held in hand: {}</source>
        <translation>einzeln gesetzt, in der Hand: {}</translation>
    </message>
    <message>
        <source>set one by one, in the look: {}</source>
        <translation>einzeln gesetzt, im Look: {}</translation>
    </message>
    <message>
        <source>none asked for: it rests at home</source>
        <translation>keine verlangt: sie ruht</translation>
    </message>
    <message>
        <source>{}, {}</source>
        <translation>{}, {}</translation>
    </message>
    <message>
        <source>{}; {}</source>
        <translation>{}; {}</translation>
    </message>
    <message>
        <source>{}; out of its reach, {:.3f} off</source>
        <translation>{}; außer Reichweite, {:.3f} daneben</translation>
    </message>
    <message>
        <source>all at 0</source>
        <translation>alle auf 0</translation>
    </message>
    <message>
        <source>{} and {} more</source>
        <translation>{} und {} mehr</translation>
    </message>
    <message>
        <source>there is none: its network port could not be opened</source>
        <translation>es gibt keine: ihr Netzport ließ sich nicht öffnen</translation>
    </message>
    <message>
        <source>Rehearsal: the fixture holds what it showed on stage</source>
        <translation>Probe: das Gerät hält, was es auf der Bühne zeigte</translation>
    </message>
    <message>
        <source>E1.31 to this computer</source>
        <translation>E1.31 an diesen Rechner</translation>
    </message>
    <message>
        <source>no line of the output map carries universe {}</source>
        <translation>keine Zeile der Ausgabekarte trägt Universum {}</translation>
    </message>
    <message>
        <source>the line for universe {} is off</source>
        <translation>die Zeile für Universum {} ist aus</translation>
    </message>
    <message>
        <source>held back from {}: no network is chosen</source>
        <translation>zurückgehalten von {}: kein Netz ist gewählt</translation>
    </message>
    <message>
        <source>{} to {}, there {}</source>
        <translation>{} an {}, dort {}</translation>
    </message>
    <message>
        <source>{}; nobody answers there</source>
        <translation>{}; dort antwortet niemand</translation>
    </message>
    <message>
        <source>no fixture with id {}</source>
        <translation>kein Gerät mit Kennzahl {}</translation>
    </message>
    <message>
        <source>Master</source>
        <translation>Master</translation>
    </message>
    <message>
        <source>at 0</source>
        <translation>auf 0</translation>
    </message>
    <message>
        <source>Dark</source>
        <translation>Dunkel</translation>
    </message>
    <message>
        <source>it is on: all light is out</source>
        <translation>es ist an: alles Licht ist aus</translation>
    </message>
    <message>
        <source>No light. {}: {}.</source>
        <translation>Kein Licht. {}: {}.</translation>
    </message>
    <message>
        <source>It shines. {}: {}.</source>
        <translation>Sie leuchtet. {}: {}.</translation>
    </message>
    <message>
        <source>It shines, as asked for.</source>
        <translation>Sie leuchtet, wie verlangt.</translation>
    </message>
    <message>
        <source>{}; shown by the colour kept with it</source>
        <translation>{}; gezeigt wird die damit bewahrte Farbe</translation>
    </message>
    <message>
        <source>{}; shown as white</source>
        <translation>{}; als Weiß gezeigt</translation>
    </message>
    <message>
        <source>its fixture type is not in the library</source>
        <translation>ihr Gerätetyp ist nicht in der Bibliothek</translation>
    </message>
    <message>
        <source>its slots run past 512</source>
        <translation>ihre Plätze gehen über 512 hinaus</translation>
    </message>
    <message>
        <source>Dark is on</source>
        <translation>Dunkel ist an</translation>
    </message>
    <message>
        <source>master at 0</source>
        <translation>Master auf 0</translation>
    </message>
    <message>
        <source>no intensity set</source>
        <translation>keine Intensität gesetzt</translation>
    </message>
    <message>
        <source>intensity at 0</source>
        <translation>Intensität auf 0</translation>
    </message>
    <message>
        <source>all emitters at 0</source>
        <translation>alle Emitter auf 0</translation>
    </message>
    <message>
        <source>fixture {}: {} has no mode &apos;{}&apos;</source>
        <translation>Gerät {}: {} hat keinen Modus „{}“</translation>
    </message>
    <message>
        <source>fixture {}: address {} with {} slots runs past 512</source>
        <translation>Gerät {}: Adresse {} mit {} Plätzen geht über 512 hinaus</translation>
    </message>
    <message>
        <source>the reach is a line or a point: there is no way round white</source>
        <translation>die Reichweite ist eine Linie oder ein Punkt: es gibt keinen Weg um das Weiß</translation>
    </message>
    <message>
        <source>the white point u′ {:.4f} v′ {:.4f} is not inside the reach</source>
        <translation>der Weißpunkt u′ {:.4f} v′ {:.4f} liegt nicht in der Reichweite</translation>
    </message>
    <message>
        <source>{} {}: must be within 0..1</source>
        <translation>{} {}: muss in 0..1 liegen</translation>
    </message>
    <message>
        <source>{} samples: must be within 2..100000</source>
        <translation>{} Proben: muss in 2..100000 liegen</translation>
    </message>
    <message>
        <source>&apos;{}&apos;: the offset behind + must be within 0..1</source>
        <translation>„{}“: der Versatz hinter + muss in 0..1 liegen</translation>
    </message>
    <message>
        <source>&apos;{}&apos;: takes no number</source>
        <translation>„{}“: nimmt keine Zahl</translation>
    </message>
    <message>
        <source>{} stops: a gradient needs at least two</source>
        <translation>{} Stopps: ein Verlauf braucht mindestens zwei</translation>
    </message>
    <message>
        <source>&apos;{}&apos;: expected {}or FROM:TO in degrees of hue</source>
        <translation>„{}“: erwartet {}oder VON:BIS in Grad Farbton</translation>
    </message>
    <message>
        <source>choose {} lamps or more first</source>
        <translation>erst {} Lampen oder mehr wählen</translation>
    </message>
    <message>
        <source>fixture {}: {} {}: must be within -{}..{}</source>
        <translation>Gerät {}: {} {}: muss in -{}..{} liegen</translation>
    </message>
    <message>
        <source>no group with id {}</source>
        <translation>keine Gruppe mit Kennzahl {}</translation>
    </message>
    <message>
        <source>group &apos;{}&apos; is locked: unlock it first</source>
        <translation>Gruppe „{}“ ist gesperrt: erst entsperren</translation>
    </message>
    <message>
        <source>a group needs at least one fixture</source>
        <translation>eine Gruppe braucht mindestens ein Gerät</translation>
    </message>
    <message>
        <source>{} fixtures in a group: at most {}</source>
        <translation>{} Geräte in einer Gruppe: höchstens {}</translation>
    </message>
    <message>
        <source>a group needs a name</source>
        <translation>eine Gruppe braucht einen Namen</translation>
    </message>
    <message>
        <source>there is a group &apos;{}&apos; already</source>
        <translation>es gibt schon eine Gruppe „{}“</translation>
    </message>
    <message>
        <source>fixture {}: needs a fixture type</source>
        <translation>Gerät {}: braucht einen Gerätetyp</translation>
    </message>
    <message>
        <source>number {}: must be within 0..{}</source>
        <translation>Nummer {}: muss in 0..{} liegen</translation>
    </message>
    <message>
        <source>fixture {}: universe {}: must be within 1..{}</source>
        <translation>Gerät {}: Universum {}: muss in 1..{} liegen</translation>
    </message>
    <message>
        <source>fixture {}: address {}: must be within 1..512</source>
        <translation>Gerät {}: Adresse {}: muss in 1..512 liegen</translation>
    </message>
    <message>
        <source>fixture {}</source>
        <translation>Gerät {}</translation>
    </message>
    <message>
        <source>fixture {}: home of {}: {}: must be within 0..1</source>
        <translation>Gerät {}: Ruhewert von {}: {}: muss in 0..1 liegen</translation>
    </message>
    <message>
        <source>{} &apos;{}…&apos;: {} bytes, at most {}</source>
        <translation>{} „{}…“: {} Bytes, höchstens {}</translation>
    </message>
    <message>
        <source>power {} at {} nm: must be within 0..{}</source>
        <translation>Leistung {} bei {} nm: muss in 0..{} liegen</translation>
    </message>
    <message>
        <source>a show needs a name</source>
        <translation>eine Show braucht einen Namen</translation>
    </message>
    <message>
        <source>{} fixtures: a show has {} at most</source>
        <translation>{} Geräte: eine Show hat höchstens {}</translation>
    </message>
    <message>
        <source>this show has used up its ids</source>
        <translation>diese Show hat ihre Kennzahlen verbraucht</translation>
    </message>
    <message>
        <source>calibration {}, {}: must be within -{}..{}</source>
        <translation>Kalibrierung {}, {}: muss in -{}..{} liegen</translation>
    </message>
    <message>
        <source>a show has {} groups at most</source>
        <translation>eine Show hat höchstens {} Gruppen</translation>
    </message>
    <message>
        <source>left out, of lamps that are not in the rig: {} values</source>
        <translation>ausgelassen, von Lampen, die nicht in der Anlage sind: {} Werte</translation>
    </message>
    <message>
        <source>left out, since their palette is not there: {} values</source>
        <translation>ausgelassen, weil ihre Palette nicht da ist: {} Werte</translation>
    </message>
    <message>
        <source>left out, of groups, not in the rig: {} lamps</source>
        <translation>ausgelassen, aus Gruppen, nicht in der Anlage: {} Lampen</translation>
    </message>
    <message>
        <source>a {} needs a name</source>
        <translation>hier fehlt ein Name: {}</translation>
    </message>
    <message>
        <source>there is a {} &apos;{}&apos; already</source>
        <translation>{} „{}“ gibt es schon</translation>
    </message>
    <message>
        <source>a show has {} of each kind at most</source>
        <translation>eine Show hat höchstens {} von jeder Art</translation>
    </message>
    <message>
        <source>{} &apos;{}&apos; is locked: unlock it first</source>
        <translation>{} „{}“ ist gesperrt: erst entsperren</translation>
    </message>
    <message>
        <source>palette &apos;{}&apos;: needs a colour or an intensity</source>
        <translation>Palette „{}“: braucht eine Farbe oder eine Intensität</translation>
    </message>
    <message>
        <source>no lamps in the lineup: nothing to keep</source>
        <translation>keine Lampen in der Reihe: nichts zu behalten</translation>
    </message>
    <message>
        <source>no palette with id {}</source>
        <translation>keine Palette mit Kennzahl {}</translation>
    </message>
    <message>
        <source>merging needs two palettes</source>
        <translation>Zusammenlegen braucht zwei Paletten</translation>
    </message>
    <message>
        <source>palette &apos;{}&apos; has no {}: what follows &apos;{}&apos; needs it</source>
        <translation>Palette „{}“ hat dies nicht: {}; was „{}“ folgt, braucht es</translation>
    </message>
    <message>
        <source>no look with id {}</source>
        <translation>kein Look mit Kennzahl {}</translation>
    </message>
    <message>
        <source>&apos;{}&apos;: a measured light needs a name without + and @</source>
        <translation>„{}“: ein gemessenes Licht braucht einen Namen ohne + und @</translation>
    </message>
    <message>
        <source>a show has {} measured lights at most</source>
        <translation>eine Show hat höchstens {} gemessene Lichter</translation>
    </message>
    <message>
        <source>no measured light &apos;{}&apos;</source>
        <translation>kein gemessenes Licht „{}“</translation>
    </message>
    <message>
        <source>a show has {} favourites at most</source>
        <translation>eine Show hat höchstens {} Favoriten</translation>
    </message>
    <message>
        <source>the stage&apos;s outline needs three points or more</source>
        <translation>der Umriss der Bühne braucht drei Punkte oder mehr</translation>
    </message>
    <message>
        <source>the stage has {} areas and {} corners at most</source>
        <translation>die Bühne hat höchstens {} Flächen und {} Ecken</translation>
    </message>
    <message>
        <source>the stage&apos;s outline: must be within -{}..{} m</source>
        <translation>der Umriss der Bühne: muss in -{}..{} m liegen</translation>
    </message>
    <message>
        <source>area &apos;{}&apos;: must be within -{}..{} m and have {} corners at most</source>
        <translation>Fläche „{}“: muss in -{}..{} m liegen und höchstens {} Ecken haben</translation>
    </message>
    <message>
        <source>an area of the stage needs a name</source>
        <translation>eine Fläche der Bühne braucht einen Namen</translation>
    </message>
    <message>
        <source>area &apos;{}&apos;: needs three points or more</source>
        <translation>Fläche „{}“: braucht drei Punkte oder mehr</translation>
    </message>
    <message>
        <source>universes {} to {}: must be within 1..{}</source>
        <translation>Universen {} bis {}: müssen in 1..{} liegen</translation>
    </message>
    <message>
        <source>there {} to {}: must be within {}..{}</source>
        <translation>dort {} bis {}: müssen in {}..{} liegen</translation>
    </message>
    <message>
        <source>&apos;{}&apos;: expected an IPv4 address{}</source>
        <translation>„{}“: erwartet eine IPv4-Adresse{}</translation>
    </message>
    <message>
        <source>{} outputs: at most {}</source>
        <translation>{} Ausgaben: höchstens {}</translation>
    </message>
    <message>
        <source>output {}</source>
        <translation>Ausgabe {}</translation>
    </message>
    <message>
        <source>a fixture type needs a name and a mode</source>
        <translation>ein Gerätetyp braucht einen Namen und einen Modus</translation>
    </message>
    <message>
        <source>a show has {} fixture types of its own at most</source>
        <translation>eine Show hat höchstens {} eigene Gerätetypen</translation>
    </message>
    <message>
        <source>the show has no fixture type &apos;{}&apos; of its own</source>
        <translation>die Show hat keinen eigenen Gerätetyp „{}“</translation>
    </message>
    <message>
        <source>{} of the rig&apos;s fixtures are of type &apos;{}&apos;</source>
        <translation>{} Geräte der Anlage sind vom Typ „{}“</translation>
    </message>
    <message>
        <source>{} fixtures: must be within 1..{}</source>
        <translation>{} Geräte: müssen in 1..{} liegen</translation>
    </message>
    <message>
        <source>{} slots, {} apart: must be within 1..{}</source>
        <translation>{} Plätze, {} auseinander: muss in 1..{} liegen</translation>
    </message>
    <message>
        <source>there is no universe {}</source>
        <translation>es gibt kein Universum {}</translation>
    </message>
    <message>
        <source>no room for fixture {} from {}.{} on</source>
        <translation>kein Platz für Gerät {} ab {}.{}</translation>
    </message>
    <message>
        <source>number {}: must be at least 1</source>
        <translation>Nummer {}: muss mindestens 1 sein</translation>
    </message>
    <message>
        <source>line 1: expected a heading with columns apart by tabs, among them &apos;type&apos;</source>
        <translation>Zeile 1: erwartet eine Kopfzeile mit Spalten, durch Tabs getrennt, darunter „type“</translation>
    </message>
    <message>
        <source>line {}, {}: &apos;{}&apos;: must be within {}..{}</source>
        <translation>Zeile {}, {}: „{}“: muss in {}..{} liegen</translation>
    </message>
    <message>
        <source>line {}, {}: &apos;{}&apos;: must be metres, within -{}..{}</source>
        <translation>Zeile {}, {}: „{}“: müssen Meter sein, in -{}..{}</translation>
    </message>
    <message>
        <source>line {}: more than {} fixtures</source>
        <translation>Zeile {}: mehr als {} Geräte</translation>
    </message>
    <message>
        <source>{} bytes, this packet needs {}</source>
        <translation>{} Bytes, dieses Paket braucht {}</translation>
    </message>
    <message>
        <source>{} slots in {} bytes: expected 2..512</source>
        <translation>{} Plätze in {} Bytes: erwartet 2..512</translation>
    </message>
    <message>
        <source>offset {}</source>
        <translation>Stelle {}</translation>
    </message>
    <message>
        <source>{} devices in {} bytes</source>
        <translation>{} Geräte in {} Bytes</translation>
    </message>
    <message>
        <source>not Art-Net</source>
        <translation>nicht Art-Net</translation>
    </message>
    <message>
        <source>version {}: expected {}</source>
        <translation>Version {}: erwartet {}</translation>
    </message>
    <message>
        <source>packet code {:04x}: not used</source>
        <translation>Paketcode {:04x}: nicht benutzt</translation>
    </message>
    <message>
        <source>{} bytes: a data packet has {} or more</source>
        <translation>{} Bytes: ein Datenpaket hat {} oder mehr</translation>
    </message>
    <message>
        <source>root vector {}: not data</source>
        <translation>Wurzelvektor {}: keine Daten</translation>
    </message>
    <message>
        <source>framing vector {}: not data</source>
        <translation>Rahmenvektor {}: keine Daten</translation>
    </message>
    <message>
        <source>{} values: must be within 1..513 and in the packet</source>
        <translation>{} Werte: müssen in 1..513 liegen und im Paket sein</translation>
    </message>
    <message>
        <source>start code {}: only 0 is levels</source>
        <translation>Startcode {}: nur 0 sind Pegel</translation>
    </message>
    <message>
        <source>universe {}: must be within 1..63999</source>
        <translation>Universum {}: muss in 1..63999 liegen</translation>
    </message>
    <message>
        <source>priority {}: must be within 0..200</source>
        <translation>Priorität {}: muss in 0..200 liegen</translation>
    </message>
    <message>
        <source>&apos;{}&apos;: expected an IPv4 address</source>
        <translation>„{}“: erwartet eine IPv4-Adresse</translation>
    </message>
    <message>
        <source>{}:{} is in use: another receiver runs already</source>
        <translation>{}:{} ist belegt: ein anderer Empfänger läuft schon</translation>
    </message>
    <message>
        <source>cannot listen on {}:{}: {}</source>
        <translation>kann nicht auf {}:{} hören: {}</translation>
    </message>
    <message>
        <source>no socket for E1.31: {}</source>
        <translation>kein Socket für E1.31: {}</translation>
    </message>
    <message>
        <source>listed twice: two share one identity</source>
        <translation>zweimal gelistet: zwei teilen eine Kennung</translation>
    </message>
    <message>
        <source>more than {} devices: the rest is left out</source>
        <translation>mehr als {} Geräte: der Rest ist ausgelassen</translation>
    </message>
    <message>
        <source>answers badly: {}</source>
        <translation>antwortet schlecht: {}</translation>
    </message>
    <message>
        <source>answers twice: two share one identity</source>
        <translation>antwortet zweimal: zwei teilen eine Kennung</translation>
    </message>
    <message>
        <source>refuses to say what it is</source>
        <translation>weigert sich zu sagen, was es ist</translation>
    </message>
    <message>
        <source>{} port {}: {}</source>
        <translation>{} Port {}: {}</translation>
    </message>
    <message>
        <source>nothing answers Art-Net here</source>
        <translation>hier antwortet nichts auf Art-Net</translation>
    </message>
    <message>
        <source>127.0.0.1:{}: {}</source>
        <translation>127.0.0.1:{}: {}</translation>
    </message>
    <message>
        <source>127.0.0.1:{}: an answer of more than {} bytes</source>
        <translation>127.0.0.1:{}: eine Antwort von mehr als {} Bytes</translation>
    </message>
    <message>
        <source>{}:{} is in use: another program listens there</source>
        <translation>{}:{} ist belegt: ein anderes Programm hört dort</translation>
    </message>
    <message>
        <source>{} bytes, RDM needs {}</source>
        <translation>{} Bytes, RDM braucht {}</translation>
    </message>
    <message>
        <source>start codes {:02x} {:02x}: not RDM</source>
        <translation>Startcodes {:02x} {:02x}: nicht RDM</translation>
    </message>
    <message>
        <source>length {} with {} of data in {} bytes: they disagree</source>
        <translation>Länge {} mit {} Daten in {} Bytes: sie widersprechen sich</translation>
    </message>
    <message>
        <source>checksum {:04x}, the bytes give {:04x}</source>
        <translation>Prüfsumme {:04x}, die Bytes geben {:04x}</translation>
    </message>
    <message>
        <source>command class {:02x}</source>
        <translation>Befehlsklasse {:02x}</translation>
    </message>
    <message>
        <source>device info of {} bytes: expected {}</source>
        <translation>Geräteangaben von {} Bytes: erwartet {}</translation>
    </message>
    <message>
        <source>footprint {}: must be within 0..512</source>
        <translation>Platzbedarf {}: muss in 0..512 liegen</translation>
    </message>
    <message>
        <source>start address {}: must be within 1..512</source>
        <translation>Startadresse {}: muss in 1..512 liegen</translation>
    </message>
    <message>
        <source>cannot be written: its folder is not there</source>
        <translation>kann nicht geschrieben werden: der Ordner ist nicht da</translation>
    </message>
    <message>
        <source>cannot be read: {}</source>
        <translation>kann nicht gelesen werden: {}</translation>
    </message>
    <message>
        <source>cannot be written: {}</source>
        <translation>kann nicht geschrieben werden: {}</translation>
    </message>
    <message>
        <source>name</source>
        <translation>Name</translation>
    </message>
    <message>
        <source>emitter {}: the type has {}</source>
        <translation>Emitter {}: der Typ hat {}</translation>
    </message>
    <message>
        <source>group</source>
        <translation>Gruppe</translation>
    </message>
    <message>
        <source>palette</source>
        <translation>Palette</translation>
    </message>
    <message>
        <source>colour</source>
        <translation>Farbe</translation>
    </message>
    <message>
        <source>intensity</source>
        <translation>Intensität</translation>
    </message>
    <message>
        <source>look</source>
        <translation>Look</translation>
    </message>
    <message>
        <source>area</source>
        <translation>Fläche</translation>
    </message>
    <message>
        <source>measured light</source>
        <translation>gemessenes Licht</translation>
    </message>
    <message>
        <source>&apos;{}&apos;: expected forward, reverse, from-middle, to-middle, to-and-fro[:PASSES], shuffled[:SEED], mirrored, blocks:N or repeated:N, with commas between</source>
        <translation>„{}“: erwartet forward, reverse, from-middle, to-middle, to-and-fro[:PASSES], shuffled[:SEED], mirrored, blocks:N oder repeated:N, mit Kommas dazwischen</translation>
    </message>
    <message>
        <source>&apos;{}&apos;: needs a number from 1 to {}</source>
        <translation>„{}“: braucht eine Zahl von 1 bis {}</translation>
    </message>
    <message>
        <source>stop {} at {}: must be within 0..1</source>
        <translation>Stopp {} bei {}: muss in 0..1 liegen</translation>
    </message>
    <message>
        <source>stop {} at {}: must lie behind the stop at {}</source>
        <translation>Stopp {} bei {}: muss hinter dem Stopp bei {} liegen</translation>
    </message>
    <message>
        <source>a stop at {} leaves no room for the stops behind it</source>
        <translation>ein Stopp bei {} lässt keinen Platz für die Stopps dahinter</translation>
    </message>
    <message>
        <source>{} ways between {} stops: must be {}</source>
        <translation>{} Wege zwischen {} Stopps: es müssen {} sein</translation>
    </message>
    <message>
        <source>place {}: must be within 0..1</source>
        <translation>Stelle {}: muss in 0..1 liegen</translation>
    </message>
    <message>
        <source>expected two numbers within -1..1</source>
        <translation>erwartet: zwei Zahlen von -1 bis 1</translation>
    </message>
    <message>
        <source>&apos;{}&apos;: expected one of {}</source>
        <translation>&apos;{}&apos;: erwartet: eines von {}</translation>
    </message>
    <message>
        <source>expected the id of a fixture, each once</source>
        <translation>erwartet: die id eines Scheinwerfers, jede einmal</translation>
    </message>
    <message>
        <source>{}: follows gradient {}, which is not there: {}</source>
        <translation>{}: folgt dem Verlauf {}, den es nicht gibt: {}</translation>
    </message>
    <message>
        <source>it stays as it was</source>
        <translation>bleibt, wie es war</translation>
    </message>
    <message>
        <source>left out</source>
        <translation>ausgelassen</translation>
    </message>
    <message>
        <source>{}: there is no such one in layings</source>
        <translation>{}: gibt es in layings nicht</translation>
    </message>
    <message>
        <source>stands alone: no colour or intensity beside it</source>
        <translation>steht allein: keine Farbe oder Intensität daneben</translation>
    </message>
    <message>
        <source>{}: it goes straight</source>
        <translation>{}: er geht gerade</translation>
    </message>
    <message>
        <source>these types share no reach: each goes in its own</source>
        <translation>diese Typen haben keine gemeinsame Reichweite: jeder geht in seiner</translation>
    </message>
    <message>
        <source>its place in gradient &apos;{}&apos;, held in hand</source>
        <translation>ihr Platz im Verlauf &apos;{}&apos;, in der Hand</translation>
    </message>
    <message>
        <source>its place in gradient &apos;{}&apos;, in the look</source>
        <translation>ihr Platz im Verlauf &apos;{}&apos;, im Look</translation>
    </message>
    <message>
        <source>its place in a gradient, held in hand</source>
        <translation>ihr Platz in einem Verlauf, in der Hand</translation>
    </message>
    <message>
        <source>its place in a gradient, in the look</source>
        <translation>ihr Platz in einem Verlauf, im Look</translation>
    </message>
    <message>
        <source>levels are another way on each fixture type: expected straight, around, dark or jump</source>
        <translation>Pegel sind auf jedem Typ ein anderer Weg: erwartet: straight, around, dark oder jump</translation>
    </message>
    <message>
        <source>way {}: {} points at most</source>
        <translation>Weg {}: höchstens {} Punkte</translation>
    </message>
    <message>
        <source>way {}: floor, share and points must be within 0..1</source>
        <translation>Weg {}: Grenze, Anteil und Punkte müssen von 0 bis 1 sein</translation>
    </message>
    <message>
        <source>a gradient has {} stops at most</source>
        <translation>ein Verlauf hat höchstens {} Stopps</translation>
    </message>
    <message>
        <source>stop {}: its u&apos;v&apos; must be within -1..1</source>
        <translation>Stopp {}: sein u&apos;v&apos; muss von -1 bis 1 sein</translation>
    </message>
    <message>
        <source>{} stops of intensity: a gradient needs at least two</source>
        <translation>{} Stopps der Intensität: ein Verlauf braucht mindestens zwei</translation>
    </message>
    <message>
        <source>intensity {}: must be within 0..1</source>
        <translation>Intensität {}: muss von 0 bis 1 sein</translation>
    </message>
    <message>
        <source>{}: must be within 1..{}</source>
        <translation>{}: muss von 1 bis {} sein</translation>
    </message>
    <message>
        <source>offset and give-up must be within 0..1</source>
        <translation>Versatz und Verzicht müssen von 0 bis 1 sein</translation>
    </message>
    <message>
        <source>the line of a gradient lies beyond the plan</source>
        <translation>die Linie eines Verlaufs liegt außerhalb des Plans</translation>
    </message>
    <message>
        <source>a gradient names {} emitters at most</source>
        <translation>ein Verlauf nennt höchstens {} Emitter</translation>
    </message>
    <message>
        <source>stops whose palette is not there stay as they were: {}</source>
        <translation>Stopps, deren Palette es nicht gibt, bleiben, wie sie waren: {}</translation>
    </message>
    <message>
        <source>palette &apos;{}&apos;: is a gradient, or has a colour or an intensity, not both</source>
        <translation>Palette &apos;{}&apos;: ist ein Verlauf oder hat Farbe oder Intensität, nicht beides</translation>
    </message>
    <message>
        <source>&apos;{}&apos; is a gradient, &apos;{}&apos; is not: they do not merge</source>
        <translation>&apos;{}&apos; ist ein Verlauf, &apos;{}&apos; nicht: sie lassen sich nicht vereinen</translation>
    </message>
    <message>
        <source>no gradient to keep</source>
        <translation>kein Verlauf, der zu behalten wäre</translation>
    </message>
    <message>
        <source>no gradient with id {}</source>
        <translation>kein Verlauf mit der id {}</translation>
    </message>
    <message>
        <source>the lineup shows no gradient: begin one in its view</source>
        <translation>die Lampenreihe zeigt keinen Verlauf: in dessen Ansicht einen beginnen</translation>
    </message>
    <message>
        <source>expected a number as text, such as &quot;7.5&quot;</source>
        <translation>erwartet: eine Zahl als Text, etwa &quot;7.5&quot;</translation>
    </message>
    <message>
        <source>a cue list needs an id and a name that no other has</source>
        <translation>eine Cueliste braucht eine id und einen Namen, die keine andere hat</translation>
    </message>
    <message>
        <source>{} is there twice</source>
        <translation>{} steht zweimal da</translation>
    </message>
    <message>
        <source>a fader needs an id and a name that no other has</source>
        <translation>ein Fader braucht eine id und einen Namen, die kein anderer hat</translation>
    </message>
    <message>
        <source>cue list</source>
        <translation>Cueliste</translation>
    </message>
    <message>
        <source>{}: a time of {} s: must be within 0..{}</source>
        <translation>{}: eine Zeit von {} s: muss von 0 bis {} sein</translation>
    </message>
    <message>
        <source>cue {}</source>
        <translation>Cue {}</translation>
    </message>
    <message>
        <source>{}: its number is out of range</source>
        <translation>{}: die Nummer liegt außerhalb</translation>
    </message>
    <message>
        <source>no cue list with id {}</source>
        <translation>keine Cueliste mit der id {}</translation>
    </message>
    <message>
        <source>a list has {} cues at most</source>
        <translation>eine Liste hat höchstens {} Cues</translation>
    </message>
    <message>
        <source>cue {}: nothing in it to keep</source>
        <translation>Cue {}: nichts darin zu behalten</translation>
    </message>
    <message>
        <source>no cue {} in &apos;{}&apos;</source>
        <translation>kein Cue {} in &apos;{}&apos;</translation>
    </message>
    <message>
        <source>fader</source>
        <translation>Fader</translation>
    </message>
    <message>
        <source>no fader with id {}</source>
        <translation>kein Fader mit der id {}</translation>
    </message>
    <message>
        <source>cue &apos;{}&apos;: expected a number such as 7 or 7.5</source>
        <translation>Cue &apos;{}&apos;: erwartet: eine Nummer wie 7 oder 7.5</translation>
    </message>
    <message>
        <source>fader &apos;{}&apos; plays look &apos;{}&apos;</source>
        <translation>Fader &apos;{}&apos; spielt Look &apos;{}&apos;</translation>
    </message>
    <message>
        <source>fader &apos;{}&apos;</source>
        <translation>Fader &apos;{}&apos;</translation>
    </message>
    <message>
        <source>faders that add up, &apos;{}&apos; came last</source>
        <translation>Fader, die sich addieren, &apos;{}&apos; kam zuletzt</translation>
    </message>
    <message>
        <source>cue list &apos;{}&apos;, which is let go</source>
        <translation>Cueliste &apos;{}&apos;, die losgelassen wird</translation>
    </message>
    <message>
        <source>cue {} of &apos;{}&apos;</source>
        <translation>Cue {} von &apos;{}&apos;</translation>
    </message>
    <message>
        <source>on its way, {:.0f} % now, {}</source>
        <translation>unterwegs, jetzt {:.0f} %, {}</translation>
    </message>
    <message>
        <source>on its way to {}</source>
        <translation>unterwegs zu {}</translation>
    </message>
    <message>
        <source>house light: solo, master and Dark leave it alone</source>
        <translation>Saallicht: Solo, Master und Dunkel lassen es in Ruhe</translation>
    </message>
    <message>
        <source>Solo</source>
        <translation>Solo</translation>
    </message>
    <message>
        <source>it is one of {}</source>
        <translation>sie ist eine von {}</translation>
    </message>
    <message>
        <source>only {} others show</source>
        <translation>nur {} andere leuchten</translation>
    </message>
    <message>
        <source>others are solo</source>
        <translation>andere sind solo</translation>
    </message>
    <message>
        <source>{:.0f} %, trimmed by × {:.2f}: {}</source>
        <translation>{:.0f} %, abgeglichen mit × {:.2f}: {}</translation>
    </message>
    <message>
        <source>nudged by hand: {}</source>
        <translation>von Hand gerückt: {}</translation>
    </message>
    <message>
        <source>{}; below it in the look: {}</source>
        <translation>{}; darunter im Look: {}</translation>
    </message>
    <message>
        <source>{:.0f} %</source>
        <translation>{:.0f} %</translation>
    </message>
    <message>
        <source>expected two numbers within -{}..{}</source>
        <translation>zwei Zahlen zwischen -{} und {} erwartet</translation>
    </message>
    <message>
        <source>a route needs an id and a name that no other has</source>
        <translation>eine Route braucht eine Nummer und einen Namen, die keine andere hat</translation>
    </message>
    <message>
        <source>a pair of palettes has one route</source>
        <translation>ein Paar von Paletten hat eine Route</translation>
    </message>
    <message>
        <source>no lamps in the lineup</source>
        <translation>keine Lampen in der Lampenreihe</translation>
    </message>
    <message>
        <source>no colours to fade between yet</source>
        <translation>noch keine Farben, zwischen denen überblendet wird</translation>
    </message>
    <message>
        <source>the types of these lamps are not there</source>
        <translation>die Typen dieser Lampen sind nicht da</translation>
    </message>
    <message>
        <source>left out, of ways whose palette, look or route is not there: {}</source>
        <translation>weggelassen, von Wegen, deren Palette, Look oder Route nicht da ist: {}</translation>
    </message>
    <message>
        <source>no palette of a colour with id {}</source>
        <translation>keine Palette einer Farbe mit Nummer {}</translation>
    </message>
    <message>
        <source>a time of {} s: must be within 0..{}</source>
        <translation>eine Zeit von {} s: muss zwischen 0 und {} liegen</translation>
    </message>
    <message>
        <source>a tolerance of {}: must be above 0, up to 1</source>
        <translation>eine Toleranz von {}: muss über 0 liegen, bis 1</translation>
    </message>
    <message>
        <source>route</source>
        <translation>Route</translation>
    </message>
    <message>
        <source>no route with id {}</source>
        <translation>keine Route mit Nummer {}</translation>
    </message>
    <message>
        <source>a route leads between two palettes</source>
        <translation>eine Route führt zwischen zwei Paletten</translation>
    </message>
    <message>
        <source>starts {} for {} s, not {}: so it rests in the dark</source>
        <translation>beginnt {1} s lang {0}, nicht {2}: so ruht sie im Dunkeln</translation>
    </message>
    <message>
        <source>ends {} for {} s, not {}: so it rests in the dark</source>
        <translation>endet {1} s lang {0}, nicht {2}: so ruht sie im Dunkeln</translation>
    </message>
    <message>
        <source>{} to {} loses {} % of its colour for {} s</source>
        <translation>{0} nach {1} verliert {3} s lang {2} % der Farbe</translation>
    </message>
    <message>
        <source>{} to {} turns {} for {} s</source>
        <translation>{0} nach {1} wird {3} s lang {2}</translation>
    </message>
    <message>
        <source>share {} slots</source>
        <translation>teilen sich {} Slots</translation>
    </message>
    <message>
        <source>runs past the end of its universe</source>
        <translation>reicht über das Ende ihres Universums</translation>
    </message>
    <message>
        <source>{} is {} out of reach</source>
        <translation>{} liegt {} außer Reichweite</translation>
    </message>
    <message>
        <source>a white of {} K: must be within {}..{}</source>
        <translation>ein Weiß von {} K: muss zwischen {} und {} liegen</translation>
    </message>
    <message>
        <source>cue {}: its new number would be out of range</source>
        <translation>Cue {}: seine neue Nummer wäre außerhalb des Bereichs</translation>
    </message>
    <message>
        <source>there is a cue {} already</source>
        <translation>es gibt schon einen Cue {}</translation>
    </message>
    <message>
        <source>no number is free after cue {}: renumber first</source>
        <translation>nach Cue {} ist keine Nummer frei: erst neu nummerieren</translation>
    </message>
    <message>
        <source>figures on stage: {} at most, within -{}..{} m</source>
        <translation>Figuren auf der Bühne: höchstens {}, zwischen -{} und {} m</translation>
    </message>
    <message>
        <source>cue {}: no numbers are free for its {} steps, it fades straight</source>
        <translation>Cue {}: für seine {} Schritte sind keine Nummern frei, er geht gerade über</translation>
    </message>
    <message>
        <source>{}: {}: {}</source>
        <translation>{}: {}: {}</translation>
    </message>
    <message>
        <source>plays look {}, which is not there</source>
        <translation>spielt Look {}, den es nicht gibt</translation>
    </message>
    <message>
        <source>plays group {}, which is not there</source>
        <translation>spielt Gruppe {}, die es nicht gibt</translation>
    </message>
    <message>
        <source>plays nothing</source>
        <translation>spielt nichts</translation>
    </message>
    <message>
        <source>a fader has {} emitters at most</source>
        <translation>ein Fader hat höchstens {} Emitter</translation>
    </message>
    <message>
        <source>emitter</source>
        <translation>Emitter</translation>
    </message>
    <message>
        <source>fader &apos;{}&apos; plays group &apos;{}&apos;</source>
        <translation>Fader &apos;{}&apos; spielt Gruppe &apos;{}&apos;</translation>
    </message>
    <message>
        <source>a version needs a name that no other has</source>
        <translation>eine Fassung braucht einen Namen, den keine andere hat</translation>
    </message>
    <message>
        <source>plays cue list {}, which is not there</source>
        <translation>spielt Cueliste {}, die nicht da ist</translation>
    </message>
    <message>
        <source>cue {} is there twice: left out</source>
        <translation>Cue {} ist zweimal da: ausgelassen</translation>
    </message>
    <message>
        <source>cue {}: no number for a cue: left out</source>
        <translation>Cue {}: keine Nummer für einen Cue: ausgelassen</translation>
    </message>
    <message>
        <source>no cue of it reaches a lamp of the rig</source>
        <translation>kein Cue davon erreicht eine Lampe des Aufbaus</translation>
    </message>
    <message>
        <source>left out, of no lamp of the rig: {} channels</source>
        <translation>ausgelassen, von keiner Lampe des Aufbaus: {} Kanäle</translation>
    </message>
    <message>
        <source>locked: it keeps what it showed then</source>
        <translation>gesperrt: Sie behält, was sie da zeigte</translation>
    </message>
    <message>
        <source>Other channels</source>
        <translation>Andere Kanäle</translation>
    </message>
    <message>
        <source>not at rest: {}</source>
        <translation>nicht in Ruhe: {}</translation>
    </message>
    <message>
        <source>locked: solo and master leave it alone</source>
        <translation>gesperrt: Solo und Master lassen sie in Ruhe</translation>
    </message>
    <message>
        <source>locked while it was dark</source>
        <translation>gesperrt, als sie dunkel war</translation>
    </message>
    <message>
        <source>fader &apos;{}&apos; plays this list</source>
        <translation>Fader &apos;{}&apos; spielt diese Liste</translation>
    </message>
    <message>
        <source>a cue has {} versions at most</source>
        <translation>ein Cue hat höchstens {} Fassungen</translation>
    </message>
    <message>
        <source>cue {} has no version &apos;{}&apos;</source>
        <translation>Cue {} hat keine Fassung &apos;{}&apos;</translation>
    </message>
    <message>
        <source>fader &apos;{}&apos;: needs a look, a list, a group or emitters</source>
        <translation>Fader &apos;{}&apos;: braucht einen Look, eine Liste, eine Gruppe oder Emitter</translation>
    </message>
    <message>
        <source>left out, since what they play is not there: {} faders</source>
        <translation>ausgelassen, da nicht da ist, was sie spielen: {} Fader</translation>
    </message>
    <message>
        <source>a picture of {} kB: {} at most</source>
        <translation>ein Bild von {} kB: höchstens {}</translation>
    </message>
    <message>
        <source>a picture must be a PNG or a JPEG</source>
        <translation>ein Bild muss ein PNG oder ein JPEG sein</translation>
    </message>
    <message>
        <source>cue {} is locked: unlock it first, in the menu of its row</source>
        <translation>Cue {} ist gesperrt: erst entsperren, im Menü seiner Zeile</translation>
    </message>
    <message>
        <source>{}: no ripple with id {}: left out</source>
        <translation>{}: keine Welle mit der id {}: ausgelassen</translation>
    </message>
    <message>
        <source>plays ripple {}, which is not there</source>
        <translation>spielt Welle {}, die nicht da ist</translation>
    </message>
    <message>
        <source>a ripple needs an id and a name that no other has</source>
        <translation>eine Welle braucht eine id und einen Namen, die keine andere hat</translation>
    </message>
    <message>
        <source>ripple &apos;{}&apos;</source>
        <translation>Welle &apos;{}&apos;</translation>
    </message>
    <message>
        <source>no ripple with id {}</source>
        <translation>keine Welle mit der id {}</translation>
    </message>
    <message>
        <source>a ripple of {} steps: must have {} to {}</source>
        <translation>eine Welle mit {} Schritten: muss {} bis {} haben</translation>
    </message>
    <message>
        <source>step {}: a time of {} s: must be within 0..{}</source>
        <translation>Schritt {}: eine Zeit von {} s: muss in 0..{} liegen</translation>
    </message>
    <message>
        <source>step {}: its shares must be within 0..1</source>
        <translation>Schritt {}: seine Anteile müssen in 0..1 liegen</translation>
    </message>
    <message>
        <source>turns must be within -{}..{}, a band within 0..{} lamps</source>
        <translation>Umläufe müssen in -{}..{} liegen, ein Band in 0..{} Lampen</translation>
    </message>
    <message>
        <source>a ripple has {} lamps at most</source>
        <translation>eine Welle hat höchstens {} Lampen</translation>
    </message>
    <message>
        <source>ripple</source>
        <translation>Welle</translation>
    </message>
    <message>
        <source>fader &apos;{}&apos; plays ripple &apos;{}&apos;</source>
        <translation>Fader &apos;{}&apos; spielt Welle &apos;{}&apos;</translation>
    </message>
    <message>
        <source>none of these lamps makes colours all round</source>
        <translation>keine dieser Lampen macht Farben rundum</translation>
    </message>
    <message>
        <source>these types share no reach about the white</source>
        <translation>diese Typen haben um das Weiß keine gemeinsame Reichweite</translation>
    </message>
    <message>
        <source>{} hues: must be 3 to {}</source>
        <translation>{} Farbtöne: 3 bis {} gehen</translation>
    </message>
    <message>
        <source>a saturation of {}: must be above 0, and 1 at most</source>
        <translation>eine Sättigung von {}: muss über 0 und höchstens 1 sein</translation>
    </message>
    <message>
        <source>a turn of {} s: must be {} s or longer as cues</source>
        <translation>ein Umlauf von {} s: als Cues mindestens {} s</translation>
    </message>
    <message>
        <source>none of the lamps of ripple &apos;{}&apos; has a type</source>
        <translation>keine Lampe der Welle &apos;{}&apos; hat einen Typ</translation>
    </message>
    <message>
        <source>&apos;{}&apos;: expected a name behind it</source>
        <translation>&apos;{}&apos;: dahinter fehlt ein Name</translation>
    </message>
    <message>
        <source>{}: a measurement is not read: {}</source>
        <translation>{}: eine Messung wird nicht gelesen: {}</translation>
    </message>
    <message>
        <source>{}: one point alone, taken as a line there</source>
        <translation>{}: ein einziger Punkt, als Linie dort genommen</translation>
    </message>
    <message>
        <source>{}: LuminousIntensity &apos;{}&apos; is not taken: must be within 0..1e9 cd</source>
        <translation>{}: LuminousIntensity &apos;{}&apos; wird nicht genommen: erwartet 0 bis 1e9 cd</translation>
    </message>
    <message>
        <source>the Y of its Color</source>
        <translation>dem Y seiner Color</translation>
    </message>
    <message>
        <source>the Beam&apos;s output</source>
        <translation>dem Licht des Beam</translation>
    </message>
    <message>
        <source>the measured emitters</source>
        <translation>den gemessenen Emittern</translation>
    </message>
    <message>
        <source>nothing in the file</source>
        <translation>nichts in der Datei</translation>
    </message>
    <message>
        <source>{}: no LuminousIntensity; {:.0f} cd taken, from {}</source>
        <translation>{}: keine LuminousIntensity; {:.0f} cd genommen, aus {}</translation>
    </message>
    <message>
        <source>{}: no emitter, its light is modelled by the attribute</source>
        <translation>{}: kein Emitter, sein Licht ist nach dem Attribut nachgebildet</translation>
    </message>
    <message>
        <source>mode &apos;{}&apos;: break {} does not fit behind the others</source>
        <translation>Modus &apos;{}&apos;: Break {} passt nicht hinter die anderen</translation>
    </message>
    <message>
        <source>mode &apos;{}&apos;: break {} is taken to follow the one before, at {} above its address</source>
        <translation>Modus &apos;{}&apos;: Break {} schließt an den vorigen an, {} über seiner Adresse</translation>
    </message>
    <message>
        <source>mode &apos;{}&apos;: {} at offset {} is left out, {} is there</source>
        <translation>Modus &apos;{}&apos;: {} auf Offset {} entfällt, dort ist {}</translation>
    </message>
    <message>
        <source>mode &apos;{}&apos;: a second dimmer stays at full</source>
        <translation>Modus &apos;{}&apos;: ein zweiter Dimmer bleibt auf voll</translation>
    </message>
    <message>
        <source>mode &apos;{}&apos;: {} rests at {}, where {} works</source>
        <translation>Modus &apos;{}&apos;: {} ruht auf {}, wo {} wirkt</translation>
    </message>
    <message>
        <source>mode &apos;{}&apos;: {} may depend on {}, which is not followed</source>
        <translation>Modus &apos;{}&apos;: {} hängt vielleicht von {} ab, dem nicht gefolgt wird</translation>
    </message>
    <message>
        <source>{}: DMXProfile &apos;{}&apos; is not there, taken as even</source>
        <translation>{}: DMXProfile &apos;{}&apos; fehlt, als gleichmäßig genommen</translation>
    </message>
    <message>
        <source>{}: {} &apos;{}&apos; is not there, left at home</source>
        <translation>{}: {} &apos;{}&apos; fehlt, bleibt auf Grundwert</translation>
    </message>
    <message>
        <source>{}: has a DMXProfile, its PhysicalFrom {} and PhysicalTo {} are not followed</source>
        <translation>{}: hat ein DMXProfile, PhysicalFrom {} und PhysicalTo {} wird nicht gefolgt</translation>
    </message>
    <message>
        <source>{}: slot &apos;{}&apos;: Filter &apos;{}&apos; is not there</source>
        <translation>{}: Platz &apos;{}&apos;: Filter &apos;{}&apos; fehlt</translation>
    </message>
    <message>
        <source>Emitter &apos;{}&apos;: there is another of this name, left out</source>
        <translation>Emitter &apos;{}&apos;: es gibt einen anderen dieses Namens, entfällt</translation>
    </message>
    <message>
        <source>left out: {}</source>
        <translation>entfällt: {}</translation>
    </message>
    <message>
        <source>{}: no GDTFSpec: its type is to be chosen</source>
        <translation>{}: keine GDTFSpec: der Typ ist noch zu wählen</translation>
    </message>
    <message>
        <source>{}: set to 1.1</source>
        <translation>{}: auf 1.1 gesetzt</translation>
    </message>
    <message>
        <source>line {}: black is no colour of light, left out</source>
        <translation>Zeile {}: Schwarz ist keine Lichtfarbe, entfällt</translation>
    </message>
    <message>
        <source>its {:g}–{:g} nm are used from {} to {} nm</source>
        <translation>von seinen {:g}–{:g} nm zählen {} bis {} nm</translation>
    </message>
    <message>
        <source>universes {} to {}: another line sends to these of {}: not sent</source>
        <translation>Universen {} bis {}: eine andere Zeile sendet schon an diese von {}: nicht gesendet</translation>
    </message>
    <message>
        <source>{}: no light has this chromaticity; expected one within the spectral colours</source>
        <translation>{}: kein Licht hat diese Farbart; erwartet eine innerhalb der Spektralfarben</translation>
    </message>
    <message>
        <source>priority {}: must be within 0..{}</source>
        <translation>Priorität {}: erwartet 0 bis {}</translation>
    </message>
    <message>
        <source>output {}: output {} sends to the same universe of {} already</source>
        <translation>Ausgabe {}: Ausgabe {} sendet schon an dasselbe Universum von {}</translation>
    </message>
    <message>
        <source>vectors {} and {}: another kind of packet</source>
        <translation>Vektoren {} und {}: eine andere Art von Paket</translation>
    </message>
    <message>
        <source>{}: lost packets: {} ({})</source>
        <translation>{}: verlorene Pakete: {} ({})</translation>
    </message>
    <message>
        <source>{}: lost packets: {}</source>
        <translation>{}: verlorene Pakete: {}</translation>
    </message>
    <message>
        <source>{}: known from {} to {} nm: expected 400 to 700 at least</source>
        <translation>{}: bekannt von {} bis {} nm: erwartet sind mindestens 400 bis 700</translation>
    </message>
    <message>
        <source>{}, row {}: a gap from {} to {} nm: at most {} nm</source>
        <translation>{}, Zeile {}: eine Lücke von {} bis {} nm: höchstens {} nm</translation>
    </message>
    <message>
        <source>{} sees nothing</source>
        <translation>{} sieht nichts</translation>
    </message>
    <message>
        <source>{} sees all wavelengths alike: it tells no colours apart</source>
        <translation>{} sieht alle Wellenlängen gleich: er unterscheidet keine Farben</translation>
    </message>
    <message>
        <source>the white that {} is balanced to is dark</source>
        <translation>das Weiß, auf das {} abgeglichen ist, ist dunkel</translation>
    </message>
    <message>
        <source>{} of {} does not see the white it is balanced to</source>
        <translation>{} von {} sieht das Weiß nicht, auf das sie abgeglichen ist</translation>
    </message>
    <message>
        <source>no camera: read one from a file</source>
        <translation>keine Kamera: lies eine aus einer Datei</translation>
    </message>
    <message>
        <source>{} rows: a camera has three, r, g and b</source>
        <translation>{} Zeilen: eine Kamera hat drei, r, g und b</translation>
    </message>
    <message>
        <source>no field {}: expected NM, RGB_R, RGB_G and RGB_B</source>
        <translation>kein Feld {}: erwartet sind NM, RGB_R, RGB_G und RGB_B</translation>
    </message>
    <message>
        <source>line {}: {} must be a number</source>
        <translation>Zeile {}: {} muss eine Zahl sein</translation>
    </message>
    <message>
        <source>{} values a little below 0 are taken for 0</source>
        <translation>{} Werte wenig unter 0 gelten als 0</translation>
    </message>
    <message>
        <source>known from {} to {} nm: beyond it is taken to see nothing</source>
        <translation>bekannt von {} bis {} nm: darüber hinaus gilt, dass sie nichts sieht</translation>
    </message>
    <message>
        <source>&apos;{}&apos;: expected brightest, truest, kindest, leanest or filmed</source>
        <translation>„{}“: erwartet ist brightest, truest, kindest, leanest oder filmed</translation>
    </message>
    <message>
        <source>{}: {}; left out</source>
        <translation>{}: {}; ausgelassen</translation>
    </message>
    <message>
        <source>no camera &apos;{}&apos;: expected {}or a file of sensitivities</source>
        <translation>keine Kamera „{}“: erwartet ist {}oder eine Datei von Empfindlichkeiten</translation>
    </message>
    <message>
        <source>{} emitters or filters leave no room for a camera: as Truest</source>
        <translation>{} Emitter oder Filter lassen einer Kamera keinen Platz: wie Treueste</translation>
    </message>
    <message>
        <source>{} cameras: at most {}</source>
        <translation>{} Kameras: höchstens {}</translation>
    </message>
    <message>
        <source>{}: no light has the colour {} that it is balanced to</source>
        <translation>{}: kein Licht hat die Farbe {}, auf die sie abgeglichen ist</translation>
    </message>
    <message>
        <source>balanced to {} K: must be within {} to {} K</source>
        <translation>abgeglichen auf {} K: muss zwischen {} und {} K liegen</translation>
    </message>
    <message>
        <source>camera {}: sees nothing</source>
        <translation>Kamera {}: sieht nichts</translation>
    </message>
    <message>
        <source>a camera needs a name</source>
        <translation>eine Kamera braucht einen Namen</translation>
    </message>
    <message>
        <source>camera</source>
        <translation>Kamera</translation>
    </message>
    <message>
        <source>{} cameras in use: at most {} at once</source>
        <translation>{} Kameras in Gebrauch: höchstens {} zugleich</translation>
    </message>
    <message>
        <source>a show has {} cameras at most</source>
        <translation>eine Show hat höchstens {} Kameras</translation>
    </message>
    <message>
        <source>no camera &apos;{}&apos;</source>
        <translation>keine Kamera „{}“</translation>
    </message>
    <message>
        <source>a wavelength in nm, r, g and b</source>
        <translation>eine Wellenlänge in nm, r, g und b</translation>
    </message>
    <message>
        <source>&apos;{}&apos;: expected {}</source>
        <translation>„{}“: erwartet ist {}</translation>
    </message>
    <message>
        <source>a wavelength in nm and a value</source>
        <translation>eine Wellenlänge in nm und ein Wert</translation>
    </message>
    <message>
        <source>exact for the eye: only emitters that add up can be exact for a camera</source>
        <translation>genau für das Auge: nur Emitter, deren Licht sich addiert, können für eine Kamera genau sein</translation>
    </message>
    <message>
        <source>{} emitters or filters leave {} ways free, all who look on would take {}</source>
        <translation>{} Emitter oder Filter lassen {} Wege frei, alle, die zusehen, brauchten {}</translation>
    </message>
    <message>
        <source>no camera &apos;{}&apos; in the show</source>
        <translation>keine Kamera „{}“ in der Schau</translation>
    </message>
    <message>
        <source>expected settings that Zelochrome wrote: a JSON object with &quot;format&quot;: &quot;{}&quot;</source>
        <translation>erwartet werden Einstellungen, die Zelochrome geschrieben hat: ein JSON-Objekt mit &quot;format&quot;: &quot;{}&quot;</translation>
    </message>
    <message>
        <source>{}: expected {}</source>
        <translation>{}: erwartet wird {}</translation>
    </message>
    <message>
        <source>{}: cannot be read</source>
        <translation>{}: lässt sich nicht lesen</translation>
    </message>
    <message>
        <source>&apos;{}&apos;: expected master, fader 1 to {}, emitter NAME, next, back, hold, dark, level, warmth, tint or depth</source>
        <translation>„{}“: erwartet wird master, fader 1 bis {}, emitter NAME, next, back, hold, dark, level, warmth, tint oder depth</translation>
    </message>
    <message>
        <source>expected does, by and what it is</source>
        <translation>erwartet werden does, by und was es ist</translation>
    </message>
    <message>
        <source>does: expected what it does</source>
        <translation>does: erwartet wird, was es tut</translation>
    </message>
    <message>
        <source>by: expected controller, bend, note or path</source>
        <translation>by: erwartet wird controller, bend, note oder path</translation>
    </message>
    <message>
        <source>path: expected one that begins with /</source>
        <translation>path: erwartet wird einer, der mit / beginnt</translation>
    </message>
    <message>
        <source>device: expected its name</source>
        <translation>device: erwartet wird sein Name</translation>
    </message>
    <message>
        <source>channel: expected 1 to 16</source>
        <translation>channel: erwartet wird 1 bis 16</translation>
    </message>
    <message>
        <source>number: expected 0 to 127</source>
        <translation>number: erwartet wird 0 bis 127</translation>
    </message>
    <message>
        <source>turn: expected two&apos;s complement or around 64</source>
        <translation>turn: erwartet wird two&apos;s complement oder around 64</translation>
    </message>
    <message>
        <source>a table of controls of {} bytes</source>
        <translation>eine Bedientabelle von {} Byte</translation>
    </message>
    <message>
        <source>not a table of controls</source>
        <translation>keine Bedientabelle</translation>
    </message>
    <message>
        <source>a table of controls of another version</source>
        <translation>eine Bedientabelle einer anderen Fassung</translation>
    </message>
    <message>
        <source>osc: expected listens (nowhere, this computer, network) and port</source>
        <translation>osc: erwartet werden listens (nowhere, this computer, network) und port</translation>
    </message>
    <message>
        <source>no list of controls</source>
        <translation>keine Liste controls</translation>
    </message>
    <message>
        <source>{} controls: at most {}</source>
        <translation>{} Bedienelemente: höchstens {}</translation>
    </message>
    <message>
        <source>control {}</source>
        <translation>Bedienelement {}</translation>
    </message>
    <message>
        <source>spotread is not there: it comes with the package argyll</source>
        <translation>spotread ist nicht da: es kommt mit dem Paket argyll</translation>
    </message>
    <message>
        <source>stopped</source>
        <translation>angehalten</translation>
    </message>
    <message>
        <source>{} has ended: {}</source>
        <translation>{} ist zu Ende: {}</translation>
    </message>
    <message>
        <source>{} does not answer</source>
        <translation>{} antwortet nicht</translation>
    </message>
</context>
<context>
    <name>zelo::desk::AskedAs</name>
    <message>
        <source>First coordinate</source>
        <translation>Erste Koordinate</translation>
    </message>
    <message>
        <source>x, u′ or the hue in degrees</source>
        <translation>x, u′ oder der Farbton in Grad</translation>
    </message>
    <message>
        <source>Second coordinate</source>
        <translation>Zweite Koordinate</translation>
    </message>
    <message>
        <source>y, v′ or the saturation in %</source>
        <translation>y, v′ oder die Sättigung in %</translation>
    </message>
    <message>
        <source>As this lamp shows</source>
        <translation>Wie diese Lampe zeigt</translation>
    </message>
    <message>
        <source>The number of the lamp</source>
        <translation>Die Nummer der Lampe</translation>
    </message>
    <message>
        <source>Hex sRGB</source>
        <translation>Hex sRGB</translation>
    </message>
    <message>
        <source>Six hex digits: #f08040</source>
        <translation>Sechs Hexziffern: #f08040</translation>
    </message>
    <message>
        <source>Asked for as</source>
        <translation>Verlangt als</translation>
    </message>
    <message>
        <source>In which way the colour is asked for (↑ ↓, Enter for a gel or a file): it stays the same colour</source>
        <translation>Auf welche Art die Farbe verlangt wird (↑ ↓, Enter für Folie oder Datei): es bleibt dieselbe Farbe</translation>
    </message>
    <message>
        <source>%1: Enter chooses it</source>
        <translation>%1: Enter wählt es</translation>
    </message>
    <message>
        <source>°</source>
        <translation>°</translation>
    </message>
    <message>
        <source>x</source>
        <translation>x</translation>
    </message>
    <message>
        <source>u′</source>
        <translation>u′</translation>
    </message>
    <message>
        <source>%</source>
        <translation>%</translation>
    </message>
    <message>
        <source>y</source>
        <translation>y</translation>
    </message>
    <message>
        <source>v′</source>
        <translation>v′</translation>
    </message>
</context>
<context>
    <name>zelo::desk::Asking</name>
    <message>
        <source>x y</source>
        <translation>x y</translation>
    </message>
    <message>
        <source>u′ v′</source>
        <translation>u′ v′</translation>
    </message>
    <message>
        <source>hex</source>
        <translation>Hex</translation>
    </message>
    <message>
        <source>measured</source>
        <translation>gemessen</translation>
    </message>
    <message>
        <source>palette</source>
        <translation>Palette</translation>
    </message>
    <message>
        <source>not in the book</source>
        <translation>nicht im Buch</translation>
    </message>
    <message>
        <source>kelvin white</source>
        <translation>Kelvin-Weiß</translation>
    </message>
    <message>
        <source>%1, %2</source>
        <translation>%1, %2</translation>
    </message>
    <message>
        <source>pick a colour from the swatch book</source>
        <translation>eine Farbe aus dem Farbbuch wählen</translation>
    </message>
    <message>
        <source>gel, under a lamp of</source>
        <translation>Folie, vor einer Lampe von</translation>
    </message>
    <message>
        <source>white, with a tint of</source>
        <translation>Weiß, mit einem Stich von</translation>
    </message>
    <message>
        <source>palette, as it is now</source>
        <translation>Palette, wie sie jetzt ist</translation>
    </message>
    <message>
        <source>measured light</source>
        <translation>gemessenes Licht</translation>
    </message>
    <message>
        <source>typed colour</source>
        <translation>getippte Farbe</translation>
    </message>
    <message>
        <source>Colour</source>
        <translation>Farbe</translation>
    </message>
    <message>
        <source>Colour %1</source>
        <translation>Farbe %1</translation>
    </message>
    <message>
        <source>Lamp behind the gel</source>
        <translation>Lampe hinter der Folie</translation>
    </message>
    <message>
        <source>White</source>
        <translation>Weiß</translation>
    </message>
    <message>
        <source>Pick a colour first: it is asked for in another way then.</source>
        <translation>Erst eine Farbe wählen: dann wird sie auf andere Art verlangt.</translation>
    </message>
    <message>
        <source>This colour is too far from white to be kelvin and tint.</source>
        <translation>Diese Farbe ist zu weit vom Weiß, um Kelvin und Stich zu sein.</translation>
    </message>
    <message>
        <source>Lamp %1 shows no light now.</source>
        <translation>Lampe %1 gibt jetzt kein Licht.</translation>
    </message>
    <message>
        <source>There is no lamp %1.</source>
        <translation>Es gibt keine Lampe %1.</translation>
    </message>
    <message>
        <source>No colour was tried before this one.</source>
        <translation>Vor dieser wurde keine Farbe versucht.</translation>
    </message>
    <message>
        <source>This is the last colour that was tried.</source>
        <translation>Dies ist die letzte Farbe, die versucht wurde.</translation>
    </message>
    <message>
        <source>Pick a colour first.</source>
        <translation>Erst eine Farbe wählen.</translation>
    </message>
    <message>
        <source>There is no colour that all these types can show.</source>
        <translation>Es gibt keine Farbe, die alle diese Typen zeigen können.</translation>
    </message>
    <message>
        <source>All of these types reach this colour.</source>
        <translation>Alle diese Typen erreichen diese Farbe.</translation>
    </message>
</context>
<context>
    <name>zelo::desk::CalibrationView</name>
    <message>
        <source>Measure</source>
        <translation>Messen</translation>
    </message>
    <message>
        <source>Each emitter alone at full, one after the other</source>
        <translation>Jeder Emitter allein voll, einer nach dem andern</translation>
    </message>
    <message>
        <source>Use it</source>
        <translation>Verwenden</translation>
    </message>
    <message>
        <source>The measured spectra become this fixture&apos;s own data</source>
        <translation>Die gemessenen Spektren werden die eigenen Daten dieses Geräts</translation>
    </message>
    <message>
        <source>Remove calibration</source>
        <translation>Kalibrierung entfernen</translation>
    </message>
    <message>
        <source>The fixture is as its type&apos;s data says again</source>
        <translation>Das Gerät ist wieder, wie die Daten seines Typs sagen</translation>
    </message>
    <message>
        <source>Done</source>
        <translation>Fertig</translation>
    </message>
    <message>
        <source>Esc</source>
        <translation>Esc</translation>
    </message>
    <message>
        <source>Back to Match</source>
        <translation>Zurück zu Abgleich</translation>
    </message>
    <message>
        <source>Correct</source>
        <translation>Korrigieren</translation>
    </message>
    <message>
        <source>The mix is corrected by how far this is from the colour wanted</source>
        <translation>Die Mischung wird darum korrigiert, wie weit dies von der gewünschten Farbe ist</translation>
    </message>
    <message>
        <source>Measured u′</source>
        <translation>Gemessenes u′</translation>
    </message>
    <message>
        <source>u′ of the light it shows now, as measured</source>
        <translation>u′ des Lichts, das sie jetzt zeigt, wie gemessen</translation>
    </message>
    <message>
        <source>u′</source>
        <translation>u′</translation>
    </message>
    <message>
        <source>Measured v′</source>
        <translation>Gemessenes v′</translation>
    </message>
    <message>
        <source>v′ of the light it shows now, as measured</source>
        <translation>v′ des Lichts, das sie jetzt zeigt, wie gemessen</translation>
    </message>
    <message>
        <source>v′</source>
        <translation>v′</translation>
    </message>
    <message>
        <source>Calibration</source>
        <translation>Kalibrierung</translation>
    </message>
    <message>
        <source>Stopped: something else was taken in hand.</source>
        <translation>Abgebrochen: etwas anderes kam in die Hand.</translation>
    </message>
    <message>
        <source>No lamps in the lineup: choose the one to calibrate first.</source>
        <translation>Keine Lampen in der Reihe: erst die wählen, die kalibriert wird.</translation>
    </message>
    <message>
        <source>Stop</source>
        <translation>Halt</translation>
    </message>
    <message>
        <source>This fixture has no emitters to measure.</source>
        <translation>Dieses Gerät hat keine Emitter zum Messen.</translation>
    </message>
    <message>
        <source>the fixture is gone</source>
        <translation>das Gerät ist weg</translation>
    </message>
    <message>
        <source>Measure lamp %1</source>
        <translation>Lampe %1 messen</translation>
    </message>
    <message>
        <source>Calibrate lamp %1</source>
        <translation>Lampe %1 kalibrieren</translation>
    </message>
    <message>
        <source>No calibration of lamp %1</source>
        <translation>Keine Kalibrierung von Lampe %1</translation>
    </message>
    <message>
        <source>The lamp shows no light: nothing to correct.</source>
        <translation>Die Lampe gibt kein Licht: nichts zu korrigieren.</translation>
    </message>
    <message>
        <source>That is %1 off: more than a fixture differs from its data. Is it this lamp&apos;s light?</source>
        <translation>Das ist %1 daneben: mehr, als ein Gerät von seinen Daten abweicht. Ist es das Licht dieser Lampe?</translation>
    </message>
    <message>
        <source>Correct lamp %1 by hand</source>
        <translation>Lampe %1 von Hand korrigieren</translation>
    </message>
    <message>
        <source>data</source>
        <translation>Daten</translation>
    </message>
    <message>
        <source>%1 % of its data&apos;s light</source>
        <translation>%1 % des Lichts seiner Daten</translation>
    </message>
    <message>
        <source>, measured before</source>
        <translation>, früher gemessen</translation>
    </message>
    <message>
        <source>measuring %1 of %2</source>
        <translation>misst %1 von %2</translation>
    </message>
    <message>
        <source>dashed or plain: its type&apos;s data; filled: as measured</source>
        <translation>gestrichelt oder leer: die Daten des Typs; gefüllt: wie gemessen</translation>
    </message>
    <message>
        <source>measured: “Use it” makes it this lamp&apos;s own data</source>
        <translation>gemessen: „Verwenden“ macht es zu den eigenen Daten dieser Lampe</translation>
    </message>
    <message>
        <source>or by hand: measured u′ v′ of this light</source>
        <translation>oder von Hand: gemessenes u′ v′ dieses Lichts</translation>
    </message>
    <message>
        <source>Only emitters are calibrated yet: flags and wheels keep the type&apos;s data.</source>
        <translation>Noch werden nur Emitter kalibriert: Flaggen und Räder behalten die Daten des Typs.</translation>
    </message>
    <message>
        <source>Measuring needs the light: On stage, Dark and solo off, master at 100 %.</source>
        <translation>Zum Messen braucht es Licht: Auf der Bühne, Dunkel und Solo aus, Master auf 100 %.</translation>
    </message>
    <message>
        <source>Meter</source>
        <translation>Messgerät</translation>
    </message>
    <message>
        <source>The practice rig&apos;s, or a real spectrometer through spotread of the package argyll</source>
        <translation>Das der Übungsanlage, oder ein echtes Spektrometer über spotread aus dem Paket argyll</translation>
    </message>
    <message>
        <source>practice</source>
        <translation>Übung</translation>
    </message>
    <message>
        <source>instrument</source>
        <translation>Gerät</translation>
    </message>
    <message>
        <source>Hold the meter into the light of lamp %1, where it stays until all of its emitters are measured.</source>
        <translation>Das Messgerät ins Licht von Lampe %1 halten; dort bleibt es, bis alle ihre Emitter gemessen sind.</translation>
    </message>
    <message>
        <source>meter</source>
        <translation>Messgerät</translation>
    </message>
</context>
<context>
    <name>zelo::desk::CameraForm</name>
    <message>
        <source>Name of the camera</source>
        <translation>Name der Kamera</translation>
    </message>
    <message>
        <source>Under which the show keeps it</source>
        <translation>Unter dem die Schau sie behält</translation>
    </message>
    <message>
        <source>Camera balance</source>
        <translation>Abgleich der Kamera</translation>
    </message>
    <message>
        <source>The white that it is balanced to</source>
        <translation>Das Weiß, auf das sie abgeglichen ist</translation>
    </message>
    <message>
        <source>K</source>
        <translation>K</translation>
    </message>
    <message>
        <source>Choose a file…</source>
        <translation>Datei wählen…</translation>
    </message>
    <message>
        <source>A table of wavelength and three sensitivities: CSV with nm, r, g, b, or CGATS</source>
        <translation>Eine Tabelle aus Wellenlänge und drei Empfindlichkeiten: CSV mit nm, r, g, b, oder CGATS</translation>
    </message>
    <message>
        <source>Add to the show</source>
        <translation>In die Schau</translation>
    </message>
    <message>
        <source>Filmed can mind it, and all light be seen by it</source>
        <translation>„Gefilmt“ kann auf sie achten, und alles Licht durch sie gesehen werden</translation>
    </message>
    <message>
        <source>Camera</source>
        <translation>Kamera</translation>
    </message>
    <message>
        <source>Sensitivities of a camera</source>
        <translation>Empfindlichkeiten einer Kamera</translation>
    </message>
    <message>
        <source>Sensitivities (*.csv *.txt *.cgats);;All files (*)</source>
        <translation>Empfindlichkeiten (*.csv *.txt *.cgats);;Alle Dateien (*)</translation>
    </message>
    <message>
        <source>in this show</source>
        <translation>in dieser Schau</translation>
    </message>
    <message>
        <source>Reading %1</source>
        <translation>%1 wird gelesen</translation>
    </message>
    <message>
        <source>Add camera %1</source>
        <translation>Kamera %1 hinzufügen</translation>
    </message>
    <message>
        <source>Change camera %1</source>
        <translation>Kamera %1 ändern</translation>
    </message>
    <message>
        <source>Replace that one</source>
        <translation>Jene ersetzen</translation>
    </message>
    <message>
        <source>Change</source>
        <translation>Ändern</translation>
    </message>
    <message>
        <source>name</source>
        <translation>Name</translation>
    </message>
    <message>
        <source>balanced to %1</source>
        <translation>abgeglichen auf %1</translation>
    </message>
    <message>
        <source>A table with a row for each wavelength: nm, r, g, b, from 400 to 700 nm or farther, every 10 nm or finer. Or a CGATS file.</source>
        <translation>Eine Tabelle mit einer Zeile je Wellenlänge: nm, r, g, b, von 400 bis 700 nm oder weiter, alle 10 nm oder feiner. Oder eine CGATS-Datei.</translation>
    </message>
</context>
<context>
    <name>zelo::desk::CheckPanel</name>
    <message>
        <source>Next dark lamp</source>
        <translation>Nächste dunkle Lampe</translation>
    </message>
    <message>
        <source>The next lamp that gives no light</source>
        <translation>Die nächste Lampe, die kein Licht gibt</translation>
    </message>
    <message>
        <source>Light check</source>
        <translation>Lichtprüfung</translation>
    </message>
    <message>
        <source>From what is asked for to the light that comes out, link by link</source>
        <translation>Vom Verlangten bis zum Licht, das herauskommt, Glied für Glied</translation>
    </message>
    <message>
        <source>Choose a lamp to check.</source>
        <translation>Eine Lampe wählen, die geprüft wird.</translation>
    </message>
    <message>
        <source>Every lamp gives light.</source>
        <translation>Jede Lampe gibt Licht.</translation>
    </message>
    <message>
        <source>lamp %1</source>
        <translation>Lampe %1</translation>
    </message>
</context>
<context>
    <name>zelo::desk::ConvertForm</name>
    <message>
        <source>only the gels that are listed now</source>
        <translation>nur die Folien, die jetzt gelistet sind</translation>
    </message>
    <message>
        <source>which types…</source>
        <translation>welche Typen …</translation>
    </message>
    <message>
        <source>The types that are asked; none ticked: those of the lineup</source>
        <translation>Die Typen, die gefragt werden; keiner angekreuzt: die der Lampenreihe</translation>
    </message>
    <message>
        <source>Make palettes</source>
        <translation>Paletten machen</translation>
    </message>
    <message>
        <source>One palette for each gel, in one step</source>
        <translation>Eine Palette für jede Folie, in einem Schritt</translation>
    </message>
    <message>
        <source>Report</source>
        <translation>Bericht</translation>
    </message>
    <message>
        <source>How well these types make each gel</source>
        <translation>Wie gut diese Typen jede Folie treffen</translation>
    </message>
    <message>
        <source>Save CSV…</source>
        <translation>CSV sichern …</translation>
    </message>
    <message>
        <source>The report as a table</source>
        <translation>Der Bericht als Tabelle</translation>
    </message>
    <message>
        <source>Save PDF…</source>
        <translation>PDF sichern …</translation>
    </message>
    <message>
        <source>The report on paper</source>
        <translation>Der Bericht auf Papier</translation>
    </message>
    <message>
        <source>Convert the book</source>
        <translation>Das Buch umrechnen</translation>
    </message>
    <message>
        <source>Else the whole book</source>
        <translation>Sonst das ganze Buch</translation>
    </message>
    <message numerus="yes">
        <source>%n palette(s) from the book</source>
        <translation>
            <numerusform>%n Palette aus dem Buch</numerusform>
            <numerusform>%n Paletten aus dem Buch</numerusform>
        </translation>
    </message>
    <message>
        <source>%1. Ctrl+Z takes that back.</source>
        <translation>%1. Strg+Z nimmt das zurück.</translation>
    </message>
    <message>
        <source>No types: choose lamps into the lineup, or “which types…”.</source>
        <translation>Keine Typen: Lampen in die Reihe wählen, oder „welche Typen …“.</translation>
    </message>
    <message>
        <source>Stop</source>
        <translation>Halt</translation>
    </message>
    <message>
        <source> out</source>
        <translation> daneben</translation>
    </message>
    <message>
        <source>The swatch book on these types</source>
        <translation>Das Farbbuch auf diesen Typen</translation>
    </message>
    <message>
        <source>Show: %1. Lamp behind the gels: %2 K.</source>
        <translation>Show: %1. Lampe hinter den Folien: %2 K.</translation>
    </message>
    <message>
        <source>gel</source>
        <translation>Folie</translation>
    </message>
    <message>
        <source>name</source>
        <translation>Name</translation>
    </message>
    <message>
        <source>type</source>
        <translation>Typ</translation>
    </message>
    <message>
        <source>share of the brightest mix, %</source>
        <translation>Anteil der hellsten Mischung, %</translation>
    </message>
    <message>
        <source>Writing %1</source>
        <translation>Schreibt %1</translation>
    </message>
    <message>
        <source>Written: %1</source>
        <translation>Geschrieben: %1</translation>
    </message>
    <message>
        <source>Save the report</source>
        <translation>Den Bericht sichern</translation>
    </message>
    <message>
        <source>PDF (*.pdf)</source>
        <translation>PDF (*.pdf)</translation>
    </message>
    <message>
        <source>Tables (*.csv)</source>
        <translation>Tabellen (*.csv)</translation>
    </message>
    <message>
        <source>%1, on %2</source>
        <translation>%1, auf %2</translation>
    </message>
    <message numerus="yes">
        <source>%n gel(s)</source>
        <translation>
            <numerusform>%n Folie</numerusform>
            <numerusform>%n Folien</numerusform>
        </translation>
    </message>
    <message>
        <source>no type yet</source>
        <translation>noch kein Typ</translation>
    </message>
    <message>
        <source>mixed for the cameras</source>
        <translation>für die Kameras gemischt</translation>
    </message>
    <message>
        <source>As Filmed, for those of the show&apos;s cameras that it minds; else as Truest. Their misses stand in the report beside the eye&apos;s</source>
        <translation>Wie „Gefilmt“, für die Kameras der Schau, auf die es achtet; sonst wie „Treueste“. Ihre Abweichungen stehen im Bericht neben der des Auges</translation>
    </message>
    <message>
        <source>eye %1 (%2)</source>
        <translation>Auge %1 (%2)</translation>
    </message>
    <message>
        <source>%1 %2 (%3)</source>
        <translation>%1 %2 (%3)</translation>
    </message>
    <message>
        <source>%1: %2</source>
        <translation>%1: %2</translation>
    </message>
    <message numerus="yes">
        <source>%n more in the report</source>
        <translation>
            <numerusform>%n weiterer im Bericht</numerusform>
            <numerusform>%n weitere im Bericht</numerusform>
        </translation>
    </message>
    <message>
        <source>Best first, misses in the median (at worst):</source>
        <translation>Bester zuerst, Abweichungen im Median (schlimmstens):</translation>
    </message>
</context>
<context>
    <name>zelo::desk::CrossfadeMap</name>
    <message>
        <source>Way through colour</source>
        <translation>Weg durch die Farbe</translation>
    </message>
    <message>
        <source>Both ways in u′ v′, with a mark each second. Pull the bright one out of its course; a double-click takes such a point away. Drag the ring for the saturation floor, the white cross for what the way goes round, the edges of a sector for the hues it stays out of. Arrows move, Ins adds a point, Page Up and Page Down choose, Del takes away.</source>
        <translation>Beide Wege in u′ v′, mit einem Strich je Sekunde. Den hellen aus seiner Bahn ziehen; ein Doppelklick nimmt so einen Punkt weg. Den Ring ziehen für den Sättigungsboden, das weiße Kreuz für das, was der Weg umgeht, die Ränder eines Sektors für die Farbtöne, die er meidet. Pfeile bewegen, Einfg fügt einen Punkt ein, Bild auf und Bild ab wählen, Entf nimmt weg.</translation>
    </message>
    <message>
        <source>Saturation floor</source>
        <translation>Sättigungsgrenze</translation>
    </message>
    <message>
        <source>Hues to stay out of</source>
        <translation>Farbtöne, die er meidet</translation>
    </message>
    <message>
        <source>To</source>
        <translation>Nach</translation>
    </message>
    <message>
        <source>From</source>
        <translation>Von</translation>
    </message>
    <message>
        <source>white</source>
        <translation>weiß</translation>
    </message>
    <message>
        <source>%1 K</source>
        <translation>%1 K</translation>
    </message>
    <message>
        <source>saturation floor</source>
        <translation>Sättigungsgrenze</translation>
    </message>
    <message>
        <source>%1 %</source>
        <translation>%1 %</translation>
    </message>
</context>
<context>
    <name>zelo::desk::CrossfadeModel</name>
    <message>
        <source>%1 %2</source>
        <comment>number and name of a gel</comment>
        <translation>%1 %2</translation>
    </message>
    <message>
        <source>no light</source>
        <translation>kein Licht</translation>
    </message>
    <message>
        <source>lamps as they were</source>
        <translation>Lampen wie vorher</translation>
    </message>
    <message>
        <source>palette</source>
        <translation>Palette</translation>
    </message>
    <message>
        <source>at full</source>
        <translation>voll</translation>
    </message>
    <message>
        <source>look</source>
        <translation>Look</translation>
    </message>
    <message>
        <source>dark</source>
        <translation>dunkel</translation>
    </message>
    <message>
        <source>%1, miss %2</source>
        <translation>%1, daneben %2</translation>
    </message>
    <message>
        <source>As needed</source>
        <translation>Nach Bedarf</translation>
    </message>
    <message>
        <source>%1 by %2</source>
        <translation>%1 über %2</translation>
    </message>
    <message>
        <source>%1 on the left</source>
        <translation>%1, links</translation>
    </message>
    <message>
        <source>%1 on the right</source>
        <translation>%1, rechts</translation>
    </message>
    <message>
        <source>left</source>
        <translation>links</translation>
    </message>
    <message>
        <source>right</source>
        <translation>rechts</translation>
    </message>
    <message>
        <source>Crossfade to %1</source>
        <translation>Übergang nach %1</translation>
    </message>
    <message>
        <source>Crossfade from %1</source>
        <translation>Übergang von %1</translation>
    </message>
    <message>
        <source>%1 has no colour.</source>
        <translation>%1 hat keine Farbe.</translation>
    </message>
    <message>
        <source>lamps as they are</source>
        <translation>Lampen wie sie sind</translation>
    </message>
    <message>
        <source>Turn the crossfade round</source>
        <translation>Übergang umdrehen</translation>
    </message>
    <message>
        <source>Way of a crossfade</source>
        <translation>Weg eines Übergangs</translation>
    </message>
    <message>
        <source>White of the routes</source>
        <translation>Weiß der Routen</translation>
    </message>
    <message>
        <source>Colours in the dark first</source>
        <translation>Farben zuerst im Dunkeln</translation>
    </message>
    <message>
        <source>Colours not in the dark first</source>
        <translation>Farben nicht zuerst im Dunkeln</translation>
    </message>
    <message>
        <source>The colour jumps in the dark</source>
        <translation>Die Farbe springt im Dunkeln</translation>
    </message>
    <message>
        <source>Lamps rest with their emitters at zero</source>
        <translation>Lampen ruhen mit ihren Emittern auf null</translation>
    </message>
    <message>
        <source>Go round the white</source>
        <translation>Um das Weiß herum</translation>
    </message>
    <message>
        <source>Keep route %1</source>
        <translation>Route %1 behalten</translation>
    </message>
    <message>
        <source>Route %1</source>
        <translation>Route %1</translation>
    </message>
    <message>
        <source>A route for every change between %1 and %2</source>
        <translation>Eine Route für jeden Wechsel zwischen %1 und %2</translation>
    </message>
    <message>
        <source>at %1 s of the crossfade</source>
        <translation>bei %1 s des Übergangs</translation>
    </message>
</context>
<context>
    <name>zelo::desk::CrossfadeSide</name>
    <message>
        <source>White of the routes</source>
        <translation>Weiß der Routen</translation>
    </message>
    <message>
        <source>What ways go round, and what saturation is measured from</source>
        <translation>Was Wege umgehen und wovon aus Sättigung gemessen wird</translation>
    </message>
    <message>
        <source>K</source>
        <translation>K</translation>
    </message>
    <message>
        <source>Tolerance of the steps</source>
        <translation>Toleranz der Schritte</translation>
    </message>
    <message>
        <source>How far a console&apos;s straight fades between the steps may leave the way: Δu′v′</source>
        <translation>Wie weit die geraden Fades eines Pultes zwischen den Schritten vom Weg abweichen dürfen: Δu′v′</translation>
    </message>
    <message>
        <source>As a console would</source>
        <translation>Wie ein Pult es zeigt</translation>
    </message>
    <message>
        <source>A third ribbon: what a console makes of these steps</source>
        <translation>Ein drittes Band: was ein Pult aus diesen Schritten macht</translation>
    </message>
    <message>
        <source>Save…</source>
        <translation>Sichern…</translation>
    </message>
    <message>
        <source>The steps as cues for another desk (ASCII) or as a table (CSV)</source>
        <translation>Die Schritte als Cues für ein anderes Pult (ASCII) oder als Tabelle (CSV)</translation>
    </message>
    <message>
        <source>The lineup shows</source>
        <translation>Die Lampenreihe zeigt</translation>
    </message>
    <message>
        <source>The planned fade, the plain one, or both: the first half of the lineup as it would fade, the other half as planned</source>
        <translation>Den geplanten Fade, den einfachen oder beide: die erste Hälfte der Lampenreihe wie sie so überblenden würde, die andere wie geplant</translation>
    </message>
    <message>
        <source>planned</source>
        <translation>geplant</translation>
    </message>
    <message>
        <source>plain</source>
        <translation>einfach</translation>
    </message>
    <message>
        <source>halves</source>
        <translation>Hälften</translation>
    </message>
    <message>
        <source>Shown where</source>
        <translation>Wo es zu sehen ist</translation>
    </message>
    <message>
        <source>On the screen alone, or on the lamps too</source>
        <translation>Nur am Bildschirm oder auch auf den Lampen</translation>
    </message>
    <message>
        <source>screen</source>
        <translation>Schirm</translation>
    </message>
    <message>
        <source>lamps</source>
        <translation>Lampen</translation>
    </message>
    <message>
        <source>Speed</source>
        <translation>Tempo</translation>
    </message>
    <message>
        <source>In its time, or two or four times slower</source>
        <translation>In seiner Zeit oder zwei- oder viermal langsamer</translation>
    </message>
    <message>
        <source>1×</source>
        <translation>1×</translation>
    </message>
    <message>
        <source>½×</source>
        <translation>½×</translation>
    </message>
    <message>
        <source>¼×</source>
        <translation>¼×</translation>
    </message>
    <message>
        <source>Over and over</source>
        <translation>Immer wieder</translation>
    </message>
    <message>
        <source>Plays it again and again</source>
        <translation>Spielt es immer wieder</translation>
    </message>
    <message>
        <source>Play</source>
        <translation>Spielen</translation>
    </message>
    <message>
        <source>Plays the crossfade in its time; again: stops it</source>
        <translation>Spielt den Übergang in seiner Zeit; noch einmal: hält ihn an</translation>
    </message>
    <message>
        <source>Crossfade, readings</source>
        <translation>Übergang, Messwerte</translation>
    </message>
    <message>
        <source>Save the steps</source>
        <translation>Die Schritte sichern</translation>
    </message>
    <message>
        <source>%1 to %2.asc</source>
        <translation>%1 nach %2.asc</translation>
    </message>
    <message>
        <source>Cues for another desk (*.asc);;Tables (*.csv)</source>
        <translation>Cues für ein anderes Pult (*.asc);;Tabellen (*.csv)</translation>
    </message>
    <message>
        <source>Stop</source>
        <translation>Stopp</translation>
    </message>
    <message>
        <source>Saving the steps</source>
        <translation>Schritte werden gesichert</translation>
    </message>
    <message>
        <source>The steps for %1 are in %2.</source>
        <translation>Die Schritte für %1 sind in %2.</translation>
    </message>
    <message>
        <source>%1 %</source>
        <translation>%1 %</translation>
    </message>
    <message>
        <source>would fade</source>
        <translation>einfach</translation>
    </message>
    <message>
        <source>white dip</source>
        <translation>Weißloch</translation>
    </message>
    <message>
        <source>%1 cd</source>
        <translation>%1 cd</translation>
    </message>
    <message>
        <source>pace, ΔE a second</source>
        <translation>Gang, ΔE je Sekunde</translation>
    </message>
    <message>
        <source>%1 s</source>
        <translation>%1 s</translation>
    </message>
    <message>
        <source>Starts in another colour for %1 s: that is how it rests in the dark.</source>
        <translation>Beginnt %1 s lang in einer anderen Farbe: so ruht sie im Dunkeln.</translation>
    </message>
    <message>
        <source>Ends in another colour for %1 s: that is how it rests in the dark.</source>
        <translation>Endet %1 s lang in einer anderen Farbe: so ruht sie im Dunkeln.</translation>
    </message>
    <message>
        <source>Loses %1 % of its colour on the way.</source>
        <translation>Verliert unterwegs %1 % der Farbe.</translation>
    </message>
    <message>
        <source>Strays from the straight way for %1 s.</source>
        <translation>Weicht %1 s lang vom geraden Weg ab.</translation>
    </message>
    <message>
        <source>Set the colour in the dark</source>
        <translation>Farbe im Dunkeln setzen</translation>
    </message>
    <message>
        <source>Dark lamps take their next colour before their light comes, in the whole show</source>
        <translation>Dunkle Lampen nehmen ihre nächste Farbe, bevor ihr Licht kommt, in der ganzen Show</translation>
    </message>
    <message>
        <source>Let the colour jump</source>
        <translation>Die Farbe springen lassen</translation>
    </message>
    <message>
        <source>The colour does not fade: it is there at once where it is dark</source>
        <translation>Die Farbe blendet nicht: sie ist sofort da, wo es dunkel ist</translation>
    </message>
    <message>
        <source>Rest emitters at zero</source>
        <translation>Emitter auf null ruhen lassen</translation>
    </message>
    <message>
        <source>The lamps of the lineup rest with all emitters at zero</source>
        <translation>Die Lampen der Lampenreihe ruhen mit allen Emittern auf null</translation>
    </message>
    <message>
        <source>Go round the white</source>
        <translation>Um das Weiß herum</translation>
    </message>
    <message>
        <source>The way goes round the white</source>
        <translation>Der Weg geht um das Weiß herum</translation>
    </message>
    <message>
        <source>Way through colour</source>
        <translation>Weg durch die Farbe</translation>
    </message>
    <message>
        <source>Choose where it comes from and where it goes, and both ways stand here.</source>
        <translation>Wähle, woher sie kommt und wohin sie geht, dann stehen beide Wege hier.</translation>
    </message>
    <message>
        <source>as planned</source>
        <translation>wie geplant</translation>
    </message>
    <message>
        <source>as it would</source>
        <translation>wie einfach</translation>
    </message>
    <message>
        <source>white it goes round</source>
        <translation>Weiß, das er umgeht</translation>
    </message>
    <message>
        <source>%1 planned, %2 as it would</source>
        <translation>%1 geplant, %2 einfach</translation>
    </message>
    <message>
        <source>step %1</source>
        <translation>Schritt %1</translation>
    </message>
    <message numerus="yes">
        <source>%n step(s), worst %1</source>
        <translation>
            <numerusform>%n Schritt, höchstens %1</numerusform>
            <numerusform>%n Schritte, höchstens %1</numerusform>
        </translation>
    </message>
    <message>
        <source>Keep the way…</source>
        <translation>Weg behalten…</translation>
    </message>
    <message>
        <source>now</source>
        <translation>jetzt</translation>
    </message>
    <message>
        <source>saturation now</source>
        <translation>Sättigung jetzt</translation>
    </message>
    <message>
        <source>light now</source>
        <translation>Licht jetzt</translation>
    </message>
    <message>
        <source>dark</source>
        <translation>dunkel</translation>
    </message>
    <message>
        <source>%1, %2: %3</source>
        <translation>%1, %2: %3</translation>
    </message>
    <message>
        <source>Keeps the way under a name, for other crossfades, and for changes from one palette to another</source>
        <translation>Behält den Weg unter einem Namen, für andere Übergänge und für Wechsel von einer Palette zu einer anderen</translation>
    </message>
</context>
<context>
    <name>zelo::desk::CrossfadeView</name>
    <message>
        <source>From</source>
        <translation>Von</translation>
    </message>
    <message>
        <source>Where it comes from: press to choose. Colours of the swatch book go to the end that is chosen.</source>
        <translation>Woher sie kommt: drücken zum Wählen. Farben des Farbbuchs gehen an das gewählte Ende.</translation>
    </message>
    <message>
        <source>To</source>
        <translation>Nach</translation>
    </message>
    <message>
        <source>Where it goes: press to choose. Colours of the swatch book go to the end that is chosen.</source>
        <translation>Wohin sie geht: drücken zum Wählen. Farben des Farbbuchs gehen an das gewählte Ende.</translation>
    </message>
    <message>
        <source>Crossfade</source>
        <translation>Übergang</translation>
    </message>
    <message>
        <source>Way</source>
        <translation>Weg</translation>
    </message>
    <message>
        <source>The way from colour to colour</source>
        <translation>Der Weg von Farbe zu Farbe</translation>
    </message>
    <message>
        <source>As needed</source>
        <translation>Nach Bedarf</translation>
    </message>
    <message>
        <source>Levels</source>
        <translation>Pegel</translation>
    </message>
    <message>
        <source>Straight</source>
        <translation>Gerade</translation>
    </message>
    <message>
        <source>Around</source>
        <translation>Herum</translation>
    </message>
    <message>
        <source>Through dark</source>
        <translation>Durch Dunkel</translation>
    </message>
    <message>
        <source>Jump</source>
        <translation>Sprung</translation>
    </message>
    <message>
        <source>Side</source>
        <translation>Seite</translation>
    </message>
    <message>
        <source>By which hues the way goes round the white</source>
        <translation>Über welche Töne der Weg um das Weiß geht</translation>
    </message>
    <message>
        <source>left</source>
        <translation>links</translation>
    </message>
    <message>
        <source>right</source>
        <translation>rechts</translation>
    </message>
    <message>
        <source>Saturation floor</source>
        <translation>Sättigungsgrenze</translation>
    </message>
    <message>
        <source>How much of its ends&apos; saturation the way around keeps</source>
        <translation>Wie viel von der Sättigung seiner Enden der Weg herum behält</translation>
    </message>
    <message>
        <source>%</source>
        <translation>%</translation>
    </message>
    <message>
        <source>Share of the time</source>
        <translation>Anteil der Zeit</translation>
    </message>
    <message>
        <source>Through dark: how long there is no light. Jump: when.</source>
        <translation>Durchs Dunkel: wie lange kein Licht da ist. Sprung: wann.</translation>
    </message>
    <message>
        <source>Time</source>
        <translation>Zeit</translation>
    </message>
    <message>
        <source>How long the crossfade takes</source>
        <translation>Wie lange der Übergang dauert</translation>
    </message>
    <message>
        <source>s</source>
        <translation>s</translation>
    </message>
    <message>
        <source>more</source>
        <translation>mehr</translation>
    </message>
    <message>
        <source>Pace, reach, dark ends, and routes that are kept under a name</source>
        <translation>Gang, Reichweite, dunkle Enden und Routen, die unter einem Namen behalten sind</translation>
    </message>
    <message>
        <source>Side of a way</source>
        <translation>Seite eines Wegs</translation>
    </message>
    <message>
        <source>Time of a crossfade</source>
        <translation>Zeit eines Übergangs</translation>
    </message>
    <message>
        <source>The lamps as they are now</source>
        <translation>Die Lampen, wie sie jetzt sind</translation>
    </message>
    <message>
        <source>No light</source>
        <translation>Kein Licht</translation>
    </message>
    <message>
        <source>no light</source>
        <translation>kein Licht</translation>
    </message>
    <message>
        <source>Turn it round: from and to</source>
        <translation>Umdrehen: von und nach</translation>
    </message>
    <message>
        <source>Looks</source>
        <translation>Looks</translation>
    </message>
    <message>
        <source>Palettes</source>
        <translation>Paletten</translation>
    </message>
    <message>
        <source>Pace</source>
        <translation>Gang</translation>
    </message>
    <message>
        <source>Even to the eye</source>
        <translation>Gleichmäßig fürs Auge</translation>
    </message>
    <message>
        <source>Pace even to the eye</source>
        <translation>Gang gleichmäßig fürs Auge</translation>
    </message>
    <message>
        <source>Eased in and out</source>
        <translation>Sanft an und aus</translation>
    </message>
    <message>
        <source>Pace eased in and out</source>
        <translation>Gang sanft an und aus</translation>
    </message>
    <message>
        <source>Reach</source>
        <translation>Reichweite</translation>
    </message>
    <message>
        <source>Each type in its own</source>
        <translation>Jeder Typ in seiner eigenen</translation>
    </message>
    <message>
        <source>Each type in its own reach</source>
        <translation>Jeder Typ in seiner eigenen Reichweite</translation>
    </message>
    <message>
        <source>All in what all of them reach</source>
        <translation>Alle in dem, was alle erreichen</translation>
    </message>
    <message>
        <source>All in their common reach</source>
        <translation>Alle in ihrer gemeinsamen Reichweite</translation>
    </message>
    <message>
        <source>Stays out of</source>
        <translation>Meidet</translation>
    </message>
    <message>
        <source>Stay out of %1</source>
        <translation>%1 meiden</translation>
    </message>
    <message>
        <source>no hue</source>
        <translation>kein Ton</translation>
    </message>
    <message>
        <source>From and to dark</source>
        <translation>Von und nach dunkel</translation>
    </message>
    <message>
        <source>A dark lamp takes its colour before its light comes</source>
        <translation>Eine dunkle Lampe nimmt ihre Farbe, bevor ihr Licht kommt</translation>
    </message>
    <message>
        <source>Kept routes</source>
        <translation>Behaltene Routen</translation>
    </message>
    <message>
        <source>For every change from %1 to %2</source>
        <translation>Für jeden Wechsel von %1 nach %2</translation>
    </message>
    <message>
        <source>no route of its own</source>
        <translation>keine eigene Route</translation>
    </message>
    <message>
        <source>by</source>
        <comment>by which hues</comment>
        <translation>über</translation>
    </message>
    <message>
        <source>saturation floor</source>
        <translation>Sättigungsgrenze</translation>
    </message>
    <message>
        <source>dark for</source>
        <translation>dunkel für</translation>
    </message>
    <message>
        <source>jumps at</source>
        <translation>springt bei</translation>
    </message>
    <message>
        <source>in</source>
        <comment>so many seconds</comment>
        <translation>in</translation>
    </message>
    <message>
        <source>Two colours, and the way between them</source>
        <translation>Zwei Farben und der Weg dazwischen</translation>
    </message>
    <message>
        <source>Choose a colour in the swatch book for where it comes from, and another for where it goes; or press From and To for palettes, looks and lamps as they are.</source>
        <translation>Wähle im Farbbuch eine Farbe, von der sie kommt, und eine, zu der sie geht; oder drücke Von und Nach für Paletten, Looks und Lampen, wie sie sind.</translation>
    </message>
    <message>
        <source>Under the ribbons</source>
        <translation>Unter den Bändern</translation>
    </message>
    <message>
        <source>All ways between the two ends, or the fades of the cue list that show a colour nobody asked for</source>
        <translation>Alle Wege zwischen den beiden Enden, oder die Übergänge der Cueliste, die eine Farbe zeigen, die niemand wollte</translation>
    </message>
    <message>
        <source>All ways</source>
        <translation>Alle Wege</translation>
    </message>
    <message>
        <source>Fade check</source>
        <translation>Übergangsprüfung</translation>
    </message>
    <message>
        <source>Fade check: %1</source>
        <translation>Übergangsprüfung: %1</translation>
    </message>
</context>
<context>
    <name>zelo::desk::CueForm</name>
    <message>
        <source>What is kept</source>
        <translation>Was behalten wird</translation>
    </message>
    <message>
        <source>Which values go into the cue (← →)</source>
        <translation>Welche Werte in den Cue kommen (← →)</translation>
    </message>
    <message>
        <source>what changed</source>
        <translation>was sich änderte</translation>
    </message>
    <message>
        <source>what is in hand</source>
        <translation>was in der Hand ist</translation>
    </message>
    <message>
        <source>all of the lineup</source>
        <translation>alles der Lampenreihe</translation>
    </message>
    <message>
        <source>Intensity or colour</source>
        <translation>Helligkeit oder Farbe</translation>
    </message>
    <message>
        <source>both</source>
        <translation>beides</translation>
    </message>
    <message>
        <source>intensity</source>
        <translation>Helligkeit</translation>
    </message>
    <message>
        <source>colour</source>
        <translation>Farbe</translation>
    </message>
    <message>
        <source>Keep</source>
        <translation>Behalten</translation>
    </message>
    <message>
        <source>Enter</source>
        <translation>Enter</translation>
    </message>
    <message>
        <source>Keeps it</source>
        <translation>Behält es</translation>
    </message>
    <message>
        <source>Keep as a cue</source>
        <translation>Als Cue behalten</translation>
    </message>
    <message>
        <source>Number</source>
        <translation>Nummer</translation>
    </message>
    <message>
        <source>Of the cue: 7, or 7.5 between 7 and 8. One that is there is kept over.</source>
        <translation>Des Cues: 7, oder 7.5 zwischen 7 und 8. Einer, den es gibt, wird überschrieben.</translation>
    </message>
    <message>
        <source>Name</source>
        <translation>Name</translation>
    </message>
    <message>
        <source>What the cue is called</source>
        <translation>Wie der Cue heißt</translation>
    </message>
    <message>
        <source>name</source>
        <translation>Name</translation>
    </message>
    <message>
        <source>What is otherwise than the cues before left it: %1 looked at.</source>
        <translation>Was anders ist, als die Cues davor es ließen: %1 angesehen.</translation>
    </message>
    <message>
        <source>What is in hand, of %1.</source>
        <translation>Was in der Hand ist, von %1.</translation>
    </message>
    <message>
        <source>All that is shown, of %1.</source>
        <translation>Alles, was gezeigt wird, von %1.</translation>
    </message>
    <message>
        <source>Cue %1 %2 is there: what it says of %3 is lost. Enter again keeps over it.</source>
        <translation>Cue %1 %2 gibt es: was er von %3 sagt, geht verloren. Noch einmal Enter überschreibt ihn.</translation>
    </message>
    <message>
        <source>Cues</source>
        <translation>Cues</translation>
    </message>
    <message>
        <source>Keep cue %1</source>
        <translation>Cue %1 behalten</translation>
    </message>
    <message>
        <source>Which of these is kept (← →)</source>
        <translation>Was davon behalten wird (← →)</translation>
    </message>
    <message>
        <source>emitters</source>
        <translation>Emitter</translation>
    </message>
    <message>
        <source>Kept as</source>
        <translation>Behalten als</translation>
    </message>
    <message>
        <source>A cue, another version beside it, or a look (← →)</source>
        <translation>Ein Cue, eine andere Fassung daneben, oder ein Look (← →)</translation>
    </message>
    <message>
        <source>a cue</source>
        <translation>ein Cue</translation>
    </message>
    <message>
        <source>a version beside it</source>
        <translation>eine Fassung daneben</translation>
    </message>
    <message>
        <source>a look</source>
        <translation>ein Look</translation>
    </message>
    <message>
        <source>Emitters</source>
        <translation>Emitter</translation>
    </message>
    <message>
        <source>These alone are kept: their names, with commas between</source>
        <translation>Nur diese werden behalten: ihre Namen, mit Kommas dazwischen</translation>
    </message>
    <message>
        <source>Red, Amber</source>
        <translation>Red, Amber</translation>
    </message>
    <message>
        <source>Keep look %1</source>
        <translation>Look %1 behalten</translation>
    </message>
    <message>
        <source>There is no cue %1 that this could be a version of.</source>
        <translation>Es gibt keinen Cue %1, von dem dies eine Fassung sein könnte.</translation>
    </message>
    <message>
        <source>Keep version %1 of cue %2</source>
        <translation>Fassung %1 von Cue %2 behalten</translation>
    </message>
    <message>
        <source>Nothing to keep: these lamps show nothing of it.</source>
        <translation>Nichts zu behalten: Diese Lampen zeigen nichts davon.</translation>
    </message>
    <message>
        <source>Which emitters? Their names, with commas between.</source>
        <translation>Welche Emitter? Ihre Namen, mit Kommas dazwischen.</translation>
    </message>
    <message>
        <source>None of these lamps has an emitter “%1”.</source>
        <translation>Keine dieser Lampen hat einen Emitter „%1“.</translation>
    </message>
</context>
<context>
    <name>zelo::desk::CueModel</name>
    <message numerus="yes">
        <source>lamps %1</source>
        <translation>
            <numerusform>Lampe %1</numerusform>
            <numerusform>Lampen %1</numerusform>
        </translation>
    </message>
    <message>
        <source>Colour in the dark first</source>
        <translation>Farbe erst im Dunkeln</translation>
    </message>
    <message>
        <source>Colour at once</source>
        <translation>Farbe sofort</translation>
    </message>
    <message>
        <source>Emitters rest at zero</source>
        <translation>Emitter ruhen bei null</translation>
    </message>
    <message>
        <source>Go round the white</source>
        <translation>Ums Weiß herum</translation>
    </message>
    <message>
        <source>cue %1, at rest</source>
        <translation>Cue %1, in Ruhe</translation>
    </message>
    <message>
        <source>cue %1</source>
        <translation>Cue %1</translation>
    </message>
    <message numerus="yes">
        <source>%n cues</source>
        <translation>
            <numerusform>%n Cue</numerusform>
            <numerusform>%n Cues</numerusform>
        </translation>
    </message>
    <message>
        <source>%1 of %2</source>
        <translation>%1 von %2</translation>
    </message>
    <message>
        <source>Remove %1</source>
        <translation>%1 entfernen</translation>
    </message>
    <message>
        <source>Renumber %1</source>
        <translation>%1 neu nummerieren</translation>
    </message>
    <message>
        <source>Move cue %1</source>
        <translation>Cue %1 verschieben</translation>
    </message>
    <message numerus="yes">
        <source>Insert %n cues</source>
        <translation>
            <numerusform>%n Cue einfügen</numerusform>
            <numerusform>%n Cues einfügen</numerusform>
        </translation>
    </message>
    <message>
        <source>No cues in what was copied: rows of number, name, up, down, delay, colour, follow and note are expected.</source>
        <translation>Keine Cues in dem, was kopiert wurde: erwartet werden Zeilen mit Nummer, Name, auf, ab, Verzögerung, Farbe, folgt und Notiz.</translation>
    </message>
    <message>
        <source>No number is free there: renumber first.</source>
        <translation>Dort ist keine Nummer frei: erst neu nummerieren.</translation>
    </message>
    <message numerus="yes">
        <source>Paste %n cues</source>
        <translation>
            <numerusform>%n Cue einfügen</numerusform>
            <numerusform>%n Cues einfügen</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <source>%n rows were left out: they are no cues</source>
        <translation>
            <numerusform>%n Zeile wurde ausgelassen: sie ist kein Cue</numerusform>
            <numerusform>%n Zeilen wurden ausgelassen: sie sind keine Cues</numerusform>
        </translation>
    </message>
    <message>
        <source>Lamps rest with their emitters at zero</source>
        <translation>Lampen ruhen mit Emittern bei null</translation>
    </message>
    <message>
        <source>Let go in cue %1</source>
        <translation>In Cue %1 loslassen</translation>
    </message>
    <message>
        <source>Cue %1 as in cue %2</source>
        <translation>Cue %1 wie in Cue %2</translation>
    </message>
    <message>
        <source>as needed</source>
        <translation>nach Bedarf</translation>
    </message>
    <message>
        <source>Version %1 of cue %2</source>
        <translation>Fassung %1 von Cue %2</translation>
    </message>
    <message>
        <source>Remove version %1 of cue %2</source>
        <translation>Fassung %1 von Cue %2 entfernen</translation>
    </message>
    <message>
        <source>starts %1</source>
        <translation>startet %1</translation>
    </message>
    <message>
        <source>lets go of %1</source>
        <translation>lässt %1 los</translation>
    </message>
    <message>
        <source>freezes %1</source>
        <translation>hält %1 an</translation>
    </message>
    <message>
        <source>Ripple %1 in a cue</source>
        <translation>Welle %1 in einem Cue</translation>
    </message>
</context>
<context>
    <name>zelo::desk::CueRows</name>
    <message>
        <source>Time of lamps that get brighter, s</source>
        <translation>Zeit der Lampen, die heller werden, s</translation>
    </message>
    <message>
        <source>Time of lamps that get darker, s</source>
        <translation>Zeit der Lampen, die dunkler werden, s</translation>
    </message>
    <message>
        <source>Before the fade begins, s; 0.5/1 for up and down</source>
        <translation>Bevor der Übergang beginnt, s; 0,5/1 für auf und ab</translation>
    </message>
    <message>
        <source>Time of colours, s, where it is not that of the lamp&apos;s intensity; 6+1 with a delay</source>
        <translation>Zeit der Farben, s, wo sie nicht die der Helligkeit ist; 6+1 mit Verzögerung</translation>
    </message>
    <message>
        <source>The way that colours take</source>
        <translation>Der Weg, den Farben nehmen</translation>
    </message>
    <message>
        <source>The fade check: a colour nobody asked for</source>
        <translation>Die Prüfung der Übergänge: eine Farbe, die niemand wollte</translation>
    </message>
    <message>
        <source>cue</source>
        <translation>Cue</translation>
    </message>
    <message>
        <source>name</source>
        <translation>Name</translation>
    </message>
    <message>
        <source>looks</source>
        <translation>Bild</translation>
    </message>
    <message>
        <source>up</source>
        <translation>auf</translation>
    </message>
    <message>
        <source>down</source>
        <translation>ab</translation>
    </message>
    <message>
        <source>delay</source>
        <translation>Verz.</translation>
    </message>
    <message>
        <source>colour</source>
        <translation>Farbe</translation>
    </message>
    <message>
        <source>follow</source>
        <translation>folgt</translation>
    </message>
    <message>
        <source>route</source>
        <translation>Route</translation>
    </message>
    <message>
        <source>“%1”: expected %2</source>
        <translation>„%1“: erwartet wird %2</translation>
    </message>
    <message>
        <source>The next cue follows so long after this one&apos;s start, when it is done, or at a time of day: 4, done, at 19:30</source>
        <translation>Der nächste Cue folgt so lange nach dem Beginn von diesem, wenn er fertig ist, oder zu einer Tageszeit: 4, fertig, um 19:30</translation>
    </message>
    <message>
        <source>%1, %2</source>
        <translation>%1, %2</translation>
    </message>
</context>
<context>
    <name>zelo::desk::CueTable</name>
    <message>
        <source>Cues</source>
        <translation>Cues</translation>
    </message>
    <message>
        <source>A row a cue. Type into a cell, or Enter; all chosen rows are changed. Ctrl+↑ ↓ moves a cue, Shift+Enter goes to it.</source>
        <translation>Eine Zeile je Cue. In eine Zelle tippen, oder Enter; alle gewählten Zeilen werden geändert. Strg+↑ ↓ verschiebt einen Cue, Umschalt+Enter geht zu ihm.</translation>
    </message>
    <message numerus="yes">
        <source>%n cues copied</source>
        <translation>
            <numerusform>%n Cue kopiert</numerusform>
            <numerusform>%n Cues kopiert</numerusform>
        </translation>
    </message>
    <message>
        <source>Way of the colours</source>
        <translation>Weg der Farben</translation>
    </message>
    <message>
        <source>route</source>
        <translation>Route</translation>
    </message>
    <message>
        <source>As needed, or as the show says</source>
        <translation>Nach Bedarf, oder wie die Show es sagt</translation>
    </message>
    <message>
        <source>Kept routes</source>
        <translation>Behaltene Routen</translation>
    </message>
    <message>
        <source>Go to cue %1	Shift+Enter</source>
        <translation>Zu Cue %1 gehen	Umschalt+Enter</translation>
    </message>
    <message>
        <source>Lamps of the lineup: let go here</source>
        <translation>Lampen der Lampenreihe: hier loslassen</translation>
    </message>
    <message>
        <source>intensity and colour</source>
        <translation>Helligkeit und Farbe</translation>
    </message>
    <message>
        <source>intensity</source>
        <translation>Helligkeit</translation>
    </message>
    <message>
        <source>colour</source>
        <translation>Farbe</translation>
    </message>
    <message>
        <source>Lamps of the lineup: from here on as in cue</source>
        <translation>Lampen der Lampenreihe: von hier an wie in Cue</translation>
    </message>
    <message>
        <source>Unlock</source>
        <translation>Entsperren</translation>
    </message>
    <message>
        <source>Lock: refuses every change</source>
        <translation>Sperren: lehnt jede Änderung ab</translation>
    </message>
    <message>
        <source>Lock</source>
        <translation>Sperren</translation>
    </message>
    <message>
        <source>Way of the colours…</source>
        <translation>Weg der Farben…</translation>
    </message>
    <message>
        <source>Copy	Ctrl+C</source>
        <translation>Kopieren	Strg+C</translation>
    </message>
    <message>
        <source>Paste	Ctrl+V</source>
        <translation>Einfügen	Strg+V</translation>
    </message>
    <message>
        <source>Remove	Del</source>
        <translation>Entfernen	Entf</translation>
    </message>
    <message>
        <source>held</source>
        <translation>angehalten</translation>
    </message>
    <message>
        <source>%1 of %2 s</source>
        <translation>%1 von %2 s</translation>
    </message>
    <message>
        <source>goes on in %1 s</source>
        <translation>weiter in %1 s</translation>
    </message>
    <message>
        <source>Where lamp %1 has it from</source>
        <translation>Woher Lampe %1 es hat</translation>
    </message>
    <message>
        <source>Where a lamp has it from</source>
        <translation>Woher eine Lampe es hat</translation>
    </message>
    <message>
        <source>%1: cue %2 %3</source>
        <translation>%1: Cue %2 %3</translation>
    </message>
    <message>
        <source>%1: no cue up to here says it</source>
        <translation>%1: Kein Cue bis hier sagt es</translation>
    </message>
    <message>
        <source>Versions of cue %1</source>
        <translation>Fassungen von Cue %1</translation>
    </message>
    <message>
        <source>%1 plays</source>
        <translation>%1 spielt</translation>
    </message>
    <message>
        <source>Play %1 instead</source>
        <translation>Stattdessen %1 spielen</translation>
    </message>
    <message>
        <source>Remove %1</source>
        <translation>%1 entfernen</translation>
    </message>
    <message>
        <source>No others: K keeps one beside it</source>
        <translation>Keine andere: K behält eine daneben</translation>
    </message>
    <message>
        <source>This cue has no other version: K keeps one beside it.</source>
        <translation>Dieser Cue hat keine andere Fassung: K behält eine daneben.</translation>
    </message>
    <message>
        <source>Choose a lamp and a cue: it is told where the lamp has it from there.</source>
        <translation>Eine Lampe und einen Cue wählen: Es wird gesagt, woher die Lampe es dort hat.</translation>
    </message>
    <message>
        <source>from cue %1</source>
        <translation>aus Cue %1</translation>
    </message>
    <message>
        <source>from no cue</source>
        <translation>aus keinem Cue</translation>
    </message>
    <message>
        <source>Lamp %1 in cue %2: its intensity is %3, its colour %4.</source>
        <translation>Lampe %1 in Cue %2: Ihre Helligkeit ist %3, ihre Farbe %4.</translation>
    </message>
    <message>
        <source>Ripples</source>
        <translation>Wellen</translation>
    </message>
    <message>
        <source>Starts it</source>
        <translation>Startet sie</translation>
    </message>
    <message>
        <source>Lets go of it</source>
        <translation>Lässt sie los</translation>
    </message>
    <message>
        <source>Freezes it, or lets it go on</source>
        <translation>Hält sie an oder lässt sie weiterlaufen</translation>
    </message>
    <message>
        <source>Leaves it alone</source>
        <translation>Lässt sie, wie sie ist</translation>
    </message>
    <message>
        <source>No ripples yet: begin one in Ripple</source>
        <translation>Noch keine Wellen: In Welle eine beginnen</translation>
    </message>
</context>
<context>
    <name>zelo::desk::CueWindow</name>
    <message>
        <source>Cue list, large</source>
        <translation>Cueliste, groß</translation>
    </message>
    <message>
        <source>Where the cue list stands and what comes next, to be read from afar: put it on another screen (Esc closes, F fills the screen)</source>
        <translation>Wo die Cueliste steht und was als Nächstes kommt, aus der Ferne zu lesen: auf einen anderen Bildschirm damit (Esc schließt, F füllt den Bildschirm)</translation>
    </message>
    <message>
        <source>No cue list yet: keep what the lamps show as a cue, in Cues with Ins.</source>
        <translation>Noch keine Cueliste: was die Lampen zeigen als Cue behalten, in Cues mit Einfg.</translation>
    </message>
    <message>
        <source>rehearsal</source>
        <translation>Probe</translation>
    </message>
    <message>
        <source>nothing plays</source>
        <translation>nichts läuft</translation>
    </message>
    <message>
        <source>held</source>
        <translation>angehalten</translation>
    </message>
    <message>
        <source>%1 s to go</source>
        <translation>noch %1 s</translation>
    </message>
    <message>
        <source>cue %1, %2</source>
        <translation>Cue %1, %2</translation>
    </message>
    <message>
        <source>stands</source>
        <translation>steht</translation>
    </message>
    <message>
        <source>next</source>
        <translation>als Nächstes</translation>
    </message>
</context>
<context>
    <name>zelo::desk::CuesView</name>
    <message>
        <source>Cues</source>
        <translation>Cues</translation>
    </message>
    <message>
        <source>Lists, what happens at the end of one, its times; a new list</source>
        <translation>Listen, was am Ende geschieht, ihre Zeiten; eine neue Liste</translation>
    </message>
    <message>
        <source>Find a cue</source>
        <translation>Einen Cue finden</translation>
    </message>
    <message>
        <source>A number, or a part of a name or a note; Enter finds the next one</source>
        <translation>Eine Nummer, oder ein Teil eines Namens oder einer Notiz; Enter findet den nächsten</translation>
    </message>
    <message>
        <source>Note</source>
        <translation>Notiz</translation>
    </message>
    <message>
        <source>The note of the cue with the keyboard</source>
        <translation>Die Notiz des Cues mit der Tastatur</translation>
    </message>
    <message>
        <source>Rate</source>
        <translation>Tempo</translation>
    </message>
    <message>
        <source>How fast the list plays: 10 to 1000 %</source>
        <translation>Wie schnell die Liste spielt: 10 bis 1000 %</translation>
    </message>
    <message>
        <source>What the fade check found, and its cures</source>
        <translation>Was die Prüfung der Übergänge fand, und die Mittel dagegen</translation>
    </message>
    <message>
        <source>Back</source>
        <translation>Zurück</translation>
    </message>
    <message>
        <source>Shift+Space</source>
        <translation>Umschalt+Leer</translation>
    </message>
    <message>
        <source>To the cue before, in its own time</source>
        <translation>Zum Cue davor, in eigener Zeit</translation>
    </message>
    <message>
        <source>Hold</source>
        <translation>Halt</translation>
    </message>
    <message>
        <source>Stops what runs, and lets it go on (Ctrl+Space)</source>
        <translation>Hält an, was läuft, und lässt es weitergehen (Strg+Leertaste)</translation>
    </message>
    <message>
        <source>Next</source>
        <translation>Weiter</translation>
    </message>
    <message>
        <source>Space</source>
        <translation>Leertaste</translation>
    </message>
    <message>
        <source>Starts the next cue</source>
        <translation>Beginnt den nächsten Cue</translation>
    </message>
    <message>
        <source>find a cue</source>
        <translation>Cue finden</translation>
    </message>
    <message>
        <source>note</source>
        <translation>Notiz</translation>
    </message>
    <message>
        <source>No cue has “%1”.</source>
        <translation>Kein Cue hat „%1“.</translation>
    </message>
    <message numerus="yes">
        <source>%n fades to look at</source>
        <translation>
            <numerusform>%n Übergang ansehen</numerusform>
            <numerusform>%n Übergänge ansehen</numerusform>
        </translation>
    </message>
    <message>
        <source>Next: none</source>
        <translation>Weiter: keiner</translation>
    </message>
    <message>
        <source>Next: %1 %2</source>
        <translation>Weiter: %1 %2</translation>
    </message>
    <message>
        <source>Next: %1</source>
        <translation>Weiter: %1</translation>
    </message>
    <message>
        <source>Go on</source>
        <translation>Los</translation>
    </message>
    <message>
        <source>rate</source>
        <translation>Tempo</translation>
    </message>
    <message>
        <source>No cues yet. Set lamps as they are to be and press K: what they show is kept as a cue, and Space plays one after the other.</source>
        <translation>Noch keine Cues. Lampen stellen, wie sie sein sollen, und K drücken: was sie zeigen, wird als Cue behalten, und die Leertaste spielt einen nach dem anderen.</translation>
    </message>
    <message numerus="yes">
        <source>%n cues</source>
        <translation>
            <numerusform>%n Cue</numerusform>
            <numerusform>%n Cues</numerusform>
        </translation>
    </message>
    <message>
        <source>Fades to look at</source>
        <translation>Übergänge zum Ansehen</translation>
    </message>
    <message>
        <source>Cue %1: %2</source>
        <translation>Cue %1: %2</translation>
    </message>
    <message>
        <source>Show the cue</source>
        <translation>Den Cue zeigen</translation>
    </message>
    <message>
        <source>Cue lists</source>
        <translation>Cuelisten</translation>
    </message>
    <message>
        <source>A new list…</source>
        <translation>Eine neue Liste…</translation>
    </message>
    <message>
        <source>Name of the new list</source>
        <translation>Name der neuen Liste</translation>
    </message>
    <message>
        <source>New list %1</source>
        <translation>Neue Liste %1</translation>
    </message>
    <message>
        <source>At the end of the list</source>
        <translation>Am Ende der Liste</translation>
    </message>
    <message>
        <source>Next does nothing</source>
        <translation>Weiter tut nichts</translation>
    </message>
    <message>
        <source>it begins again</source>
        <translation>beginnt sie von vorn</translation>
    </message>
    <message>
        <source>it goes to and fro</source>
        <translation>läuft sie hin und her</translation>
    </message>
    <message>
        <source>End of the list</source>
        <translation>Ende der Liste</translation>
    </message>
    <message>
        <source>%1: %2 s…</source>
        <translation>%1: %2 s…</translation>
    </message>
    <message>
        <source>“%1”: expected a time: 2.5, or 1:30</source>
        <translation>„%1“: erwartet wird eine Zeit: 2,5 oder 1:30</translation>
    </message>
    <message>
        <source>Time of Back</source>
        <translation>Zeit von Zurück</translation>
    </message>
    <message>
        <source>Time of letting go</source>
        <translation>Zeit des Loslassens</translation>
    </message>
    <message>
        <source>Two presses of Next: %1 s apart at least…</source>
        <translation>Zweimal Weiter: mindestens %1 s Abstand…</translation>
    </message>
    <message>
        <source>Two presses of Next: so many seconds apart at least</source>
        <translation>Zweimal Weiter: so viele Sekunden Abstand mindestens</translation>
    </message>
    <message>
        <source>Let go of the list</source>
        <translation>Die Liste loslassen</translation>
    </message>
    <message>
        <source>Rename the list…</source>
        <translation>Die Liste umbenennen…</translation>
    </message>
    <message>
        <source>Name of the list</source>
        <translation>Name der Liste</translation>
    </message>
    <message>
        <source>Rename the list</source>
        <translation>Die Liste umbenennen</translation>
    </message>
    <message>
        <source>Remove the list</source>
        <translation>Die Liste entfernen</translation>
    </message>
    <message>
        <source>Remove a list</source>
        <translation>Eine Liste entfernen</translation>
    </message>
    <message numerus="yes">
        <source>%n cues, rehearsed: the stage stays</source>
        <translation>
            <numerusform>%n Cue, geprobt: die Bühne bleibt</numerusform>
            <numerusform>%n Cues, geprobt: die Bühne bleibt</numerusform>
        </translation>
    </message>
    <message>
        <source>Writing %1</source>
        <translation>Schreibt %1</translation>
    </message>
    <message numerus="yes">
        <source>%1: %n cues, %2 of them steps of a fade.</source>
        <translation>
            <numerusform>%1: %n Cue, davon %2 Schritte eines Übergangs.</numerusform>
            <numerusform>%1: %n Cues, davon %2 Schritte eines Übergangs.</numerusform>
        </translation>
    </message>
    <message>
        <source>Written: %1</source>
        <translation>Geschrieben: %1</translation>
    </message>
    <message>
        <source>Hand over</source>
        <translation>Weitergeben</translation>
    </message>
    <message>
        <source>Cues for another desk (.asc)…</source>
        <translation>Cues für ein anderes Pult (.asc)…</translation>
    </message>
    <message>
        <source>Cues for another desk</source>
        <translation>Cues für ein anderes Pult</translation>
    </message>
    <message>
        <source>Cues (*.asc)</source>
        <translation>Cues (*.asc)</translation>
    </message>
    <message>
        <source>Cue sheet (.csv)…</source>
        <translation>Cue-Blatt (.csv)…</translation>
    </message>
    <message>
        <source>Cue sheet</source>
        <translation>Cue-Blatt</translation>
    </message>
    <message>
        <source>Tables (*.csv)</source>
        <translation>Tabellen (*.csv)</translation>
    </message>
    <message>
        <source>%1 cannot be written</source>
        <translation>%1 kann nicht geschrieben werden</translation>
    </message>
    <message>
        <source>Cues, palettes and patch on paper (.pdf)…</source>
        <translation>Cues, Paletten und Patch auf Papier (.pdf)…</translation>
    </message>
    <message>
        <source>Sheets to print</source>
        <translation>Blätter zum Drucken</translation>
    </message>
    <message>
        <source>Documents (*.pdf)</source>
        <translation>Dokumente (*.pdf)</translation>
    </message>
    <message>
        <source>As another desk plays them, handed over…</source>
        <translation>Wie ein anderes Pult sie spielt, übergeben…</translation>
    </message>
    <message>
        <source>Fades as another desk plays them</source>
        <translation>Übergänge, wie ein anderes Pult sie spielt</translation>
    </message>
    <message>
        <source>Another desk shows no colour that nobody asked for.</source>
        <translation>Ein anderes Pult zeigt keine Farbe, die niemand wollte.</translation>
    </message>
    <message>
        <source>As another desk plays them</source>
        <translation>Wie ein anderes Pult sie spielt</translation>
    </message>
    <message>
        <source>Reading %1</source>
        <translation>%1 wird gelesen</translation>
    </message>
    <message>
        <source>%1: %2</source>
        <translation>%1: %2</translation>
    </message>
    <message>
        <source>Read cues of another desk</source>
        <translation>Cues eines anderen Pults lesen</translation>
    </message>
    <message numerus="yes">
        <source>%1: %n cues read.</source>
        <translation>
            <numerusform>%1: ein Cue gelesen.</numerusform>
            <numerusform>%1: %n Cues gelesen.</numerusform>
        </translation>
    </message>
    <message>
        <source>Read cues of another desk (.asc)…</source>
        <translation>Cues eines anderen Pults lesen (.asc)…</translation>
    </message>
    <message>
        <source>Cues of another desk</source>
        <translation>Cues eines anderen Pults</translation>
    </message>
    <message>
        <source>Its fades, as another desk plays them…</source>
        <translation>Ihre Übergänge, wie ein anderes Pult sie spielt…</translation>
    </message>
    <message>
        <source>Colour sheet (.csv)…</source>
        <translation>Farbliste (.csv)…</translation>
    </message>
    <message>
        <source>Patch sheet (.csv)…</source>
        <translation>Patchliste (.csv)…</translation>
    </message>
    <message>
        <source>Patch sheet</source>
        <translation>Patchliste</translation>
    </message>
    <message>
        <source>Colour sheet</source>
        <translation>Farbliste</translation>
    </message>
    <message>
        <source>Print cues, palettes and patch…</source>
        <translation>Cues, Paletten und Patch drucken…</translation>
    </message>
</context>
<context>
    <name>zelo::desk::Document</name>
    <message>
        <source>Unsaved work cannot be written: %1</source>
        <translation>Ungesicherte Arbeit kann nicht geschrieben werden: %1</translation>
    </message>
    <message>
        <source>Left out: %1</source>
        <translation>Ausgelassen: %1</translation>
    </message>
    <message>
        <source>What you changed in “%1” meanwhile is among the unsaved work left behind.</source>
        <translation>Was inzwischen an „%1“ geändert wurde, ist bei der liegengebliebenen Arbeit.</translation>
    </message>
    <message>
        <source>Opening the show</source>
        <translation>Öffnet die Show</translation>
    </message>
    <message>
        <source>Opening a copy</source>
        <translation>Öffnet eine Kopie</translation>
    </message>
    <message>
        <source>Reading the template</source>
        <translation>Liest die Vorlage</translation>
    </message>
    <message>
        <source>Taking the work back</source>
        <translation>Holt die Arbeit zurück</translation>
    </message>
    <message>
        <source>Saving</source>
        <translation>Sichert</translation>
    </message>
    <message>
        <source>Saving a copy</source>
        <translation>Sichert eine Kopie</translation>
    </message>
    <message>
        <source>As the eye sees it: %1</source>
        <translation>Wie das Auge es sieht: %1</translation>
    </message>
</context>
<context>
    <name>zelo::desk::FadeFaults</name>
    <message>
        <source>Fade check</source>
        <translation>Übergangsprüfung</translation>
    </message>
    <message>
        <source>Fades of the cue list that show a colour nobody asked for. Enter takes the cure that is named, the key of menus shows all of them.</source>
        <translation>Übergänge der Cueliste, die eine Farbe zeigen, die niemand wollte. Eingabe nimmt die genannte Abhilfe, die Menütaste zeigt alle.</translation>
    </message>
    <message>
        <source>no fade shows a colour nobody asked for</source>
        <translation>kein Übergang zeigt eine Farbe, die niemand wollte</translation>
    </message>
    <message>
        <source>no cues yet: their fades are looked at here</source>
        <translation>noch keine Cues: Ihre Übergänge werden hier angesehen</translation>
    </message>
    <message numerus="yes">
        <source>%1 of %n fades show a colour nobody asked for</source>
        <translation>
            <numerusform>%1 von einem Übergang zeigt eine Farbe, die niemand wollte</numerusform>
            <numerusform>%1 von %n Übergängen zeigen eine Farbe, die niemand wollte</numerusform>
        </translation>
    </message>
    <message>
        <source>Show the cue</source>
        <translation>Den Cue zeigen</translation>
    </message>
</context>
<context>
    <name>zelo::desk::FadePlayer</name>
    <message>
        <source>Nothing to play yet: choose two colours.</source>
        <translation>Noch nichts zu spielen: wähle zwei Farben.</translation>
    </message>
</context>
<context>
    <name>zelo::desk::FadePlot</name>
    <message>
        <source>Crossfade over its time</source>
        <translation>Übergang über seine Zeit</translation>
    </message>
    <message>
        <source>Above as a desk would fade that knows levels only, below as it is planned. Drag the line, or press anywhere: the lamps show that moment. Arrows move it, Home and End go to the ends. Drag the dotted line of saturation for the floor.</source>
        <translation>Oben, wie ein Pult überblenden würde, das nur Pegel kennt, unten, wie geplant. Die Linie ziehen oder irgendwo drücken: die Lampen zeigen diesen Moment. Pfeile bewegen sie, Pos1 und Ende gehen an die Enden. Die gepunktete Linie der Sättigung ziehen für den Boden.</translation>
    </message>
    <message>
        <source>as it would fade</source>
        <translation>wie es so blendet</translation>
    </message>
    <message>
        <source>white dip %1 %</source>
        <translation>Weißloch %1 %</translation>
    </message>
    <message>
        <source>%1 to %2 s</source>
        <translation>%1 bis %2 s</translation>
    </message>
    <message>
        <source>as planned</source>
        <translation>wie geplant</translation>
    </message>
    <message>
        <source>%1 s</source>
        <translation>%1 s</translation>
    </message>
    <message>
        <source>saturation</source>
        <translation>Sättigung</translation>
    </message>
    <message>
        <source>floor %1 %</source>
        <translation>Boden %1 %</translation>
    </message>
    <message>
        <source>brightness</source>
        <translation>Helligkeit</translation>
    </message>
    <message>
        <source>thin line: the most it can give</source>
        <translation>dünne Linie: das meiste, was sie geben kann</translation>
    </message>
    <message>
        <source>less than even at the thick foot: %1 at full</source>
        <translation>weniger als gleichmäßig am dicken Fuß: %1 voll</translation>
    </message>
    <message>
        <source>step %1</source>
        <translation>Schritt %1</translation>
    </message>
    <message>
        <source>Saturation floor</source>
        <translation>Sättigungsgrenze</translation>
    </message>
    <message>
        <source>as a console would show it</source>
        <translation>wie ein Pult es zeigt</translation>
    </message>
    <message>
        <source>moment</source>
        <translation>Moment</translation>
    </message>
    <message>
        <source>saturation floor</source>
        <translation>Sättigungsgrenze</translation>
    </message>
    <message>
        <source>%1 %</source>
        <translation>%1 %</translation>
    </message>
</context>
<context>
    <name>zelo::desk::FaderBank</name>
    <message>
        <source>add…</source>
        <translation>dazu…</translation>
    </message>
    <message>
        <source>The next eight faders</source>
        <translation>Die nächsten acht Fader</translation>
    </message>
    <message>
        <source>Looks on faders</source>
        <translation>Looks auf Fadern</translation>
    </message>
    <message>
        <source>page %1 of %2</source>
        <translation>Seite %1 von %2</translation>
    </message>
    <message>
        <source>Add fader %1</source>
        <translation>Fader %1 dazu</translation>
    </message>
    <message>
        <source>A look, a group or emitters onto a fader</source>
        <translation>Ein Look, eine Gruppe oder Emitter auf einen Fader</translation>
    </message>
    <message>
        <source>None yet. Add a look, a group or emitters: a fader mixes them freely over what plays.</source>
        <translation>Noch keine. Einen Look, eine Gruppe oder Emitter dazunehmen: ein Fader mischt sie frei zu dem, was spielt.</translation>
    </message>
    <message>
        <source>What is on the fader?</source>
        <translation>Was ist auf dem Fader?</translation>
    </message>
    <message>
        <source>A look</source>
        <translation>Ein Look</translation>
    </message>
    <message>
        <source>The intensity of a group</source>
        <translation>Die Helligkeit einer Gruppe</translation>
    </message>
    <message>
        <source>A family of emitters</source>
        <translation>Eine Familie von Emittern</translation>
    </message>
    <message>
        <source>Warm</source>
        <translation>Warm</translation>
    </message>
    <message>
        <source>Green</source>
        <translation>Grün</translation>
    </message>
    <message>
        <source>Blue</source>
        <translation>Blau</translation>
    </message>
    <message>
        <source>An emitter</source>
        <translation>Ein Emitter</translation>
    </message>
    <message>
        <source>buttons</source>
        <translation>Tasten</translation>
    </message>
    <message>
        <source>Looks as buttons instead, each with a time of its own</source>
        <translation>Stattdessen Looks als Tasten, jeder mit eigener Zeit</translation>
    </message>
    <message>
        <source>A cue list, from its first cue</source>
        <translation>Eine Cueliste, ab ihrem ersten Cue</translation>
    </message>
    <message>
        <source>A family made by hand…</source>
        <translation>Eine selbst gemachte Familie…</translation>
    </message>
    <message>
        <source>Emitters of the fader</source>
        <translation>Emitter des Faders</translation>
    </message>
    <message>
        <source>Name of the family</source>
        <translation>Name der Familie</translation>
    </message>
    <message>
        <source>What the fader is called</source>
        <translation>Wie der Fader heißt</translation>
    </message>
    <message>
        <source>name</source>
        <translation>Name</translation>
    </message>
    <message>
        <source>%1, of every lamp that has it</source>
        <translation>%1, jeder Lampe, die ihn hat</translation>
    </message>
    <message>
        <source>Onto the fader</source>
        <translation>Auf den Fader</translation>
    </message>
    <message>
        <source>The ticked emitters, together</source>
        <translation>Die angekreuzten Emitter, zusammen</translation>
    </message>
    <message>
        <source>Emitters of fader %1</source>
        <translation>Emitter von Fader %1</translation>
    </message>
    <message>
        <source>A ripple</source>
        <translation>Eine Welle</translation>
    </message>
</context>
<context>
    <name>zelo::desk::FaderStrip</name>
    <message>
        <source>Fader</source>
        <translation>Fader</translation>
    </message>
    <message>
        <source>let go</source>
        <translation>loslassen</translation>
    </message>
    <message>
        <source>Its light goes: what lies below shows again</source>
        <translation>Sein Licht geht: was darunter liegt, zeigt sich wieder</translation>
    </message>
    <message>
        <source>Fader %1</source>
        <translation>Fader %1</translation>
    </message>
    <message>
        <source>%1: adds its light to that of others; %2 at full while it is held. Right click for more.</source>
        <translation>%1: sein Licht kommt zu dem der anderen dazu; %2 ganz auf, solange gedrückt. Rechtsklick für mehr.</translation>
    </message>
    <message>
        <source>%1: the brightest shows, and the latest colour; %2 at full while it is held. Right click for more.</source>
        <translation>%1: das Hellste zeigt sich, und die letzte Farbe; %2 ganz auf, solange gedrückt. Rechtsklick für mehr.</translation>
    </message>
    <message>
        <source>Let go of %1</source>
        <translation>%1 loslassen</translation>
    </message>
    <message>
        <source>Adds its light to that of others</source>
        <translation>Sein Licht kommt zu dem der anderen dazu</translation>
    </message>
    <message>
        <source>How a fader takes part</source>
        <translation>Wie ein Fader mitspielt</translation>
    </message>
    <message>
        <source>Another look</source>
        <translation>Ein anderer Look</translation>
    </message>
    <message>
        <source>Look of a fader</source>
        <translation>Look eines Faders</translation>
    </message>
    <message>
        <source>Rename…</source>
        <translation>Umbenennen…</translation>
    </message>
    <message>
        <source>Rename the fader</source>
        <translation>Den Fader umbenennen</translation>
    </message>
    <message>
        <source>Its name</source>
        <translation>Sein Name</translation>
    </message>
    <message>
        <source>Rename a fader</source>
        <translation>Einen Fader umbenennen</translation>
    </message>
    <message>
        <source>Remove the fader</source>
        <translation>Den Fader entfernen</translation>
    </message>
    <message>
        <source>Remove a fader</source>
        <translation>Einen Fader entfernen</translation>
    </message>
    <message>
        <source>%1: the intensity of the group, where nothing is brighter; %2 at full while it is held. Right click for more.</source>
        <translation>%1: die Helligkeit der Gruppe, wo nichts heller ist; %2 ganz auf, solange gedrückt. Rechtsklick für mehr.</translation>
    </message>
    <message>
        <source>%1: the list plays from its first cue while the fader is up, as bright as the fader; %2 at full while it is held. Right click for more.</source>
        <translation>%1: Die Liste spielt ab ihrem ersten Cue, solange der Fader oben ist, so hell wie der Fader; %2 ganz auf, solange sie gehalten wird. Rechtsklick für mehr.</translation>
    </message>
    <message>
        <source>waits</source>
        <translation>wartet</translation>
    </message>
    <message>
        <source>Show the look on the stage</source>
        <translation>Den Look auf der Bühne zeigen</translation>
    </message>
    <message>
        <source>Rate of the list…</source>
        <translation>Tempo der Liste…</translation>
    </message>
    <message>
        <source>Rate of the list</source>
        <translation>Tempo der Liste</translation>
    </message>
    <message>
        <source>How fast it plays, %</source>
        <translation>Wie schnell sie spielt, %</translation>
    </message>
    <message>
        <source>Its emitters…</source>
        <translation>Seine Emitter…</translation>
    </message>
    <message>
        <source>%1: the ripple runs while the fader is up, over what lies below as far as it is up; %2 at full while it is held. Right click for more.</source>
        <translation>%1: Die Welle läuft, solange der Fader oben ist, so weit er oben ist über dem, was darunter liegt; %2 ganz auf, solange sie gehalten wird. Rechtsklick für mehr.</translation>
    </message>
</context>
<context>
    <name>zelo::desk::FindPanel</name>
    <message>
        <source>search</source>
        <translation>suchen</translation>
    </message>
    <message>
        <source>Ask the network what is there, or stop asking</source>
        <translation>Das Netz fragen, was da ist, oder aufhören zu fragen</translation>
    </message>
    <message>
        <source>All finds that are new go into the rig, in this order</source>
        <translation>Alle neuen Funde kommen in die Anlage, in dieser Reihenfolge</translation>
    </message>
    <message>
        <source>Find fixtures</source>
        <translation>Geräte finden</translation>
    </message>
    <message>
        <source>Found</source>
        <translation>Gefunden</translation>
    </message>
    <message>
        <source>What answered, in the order of the tables</source>
        <translation>Was geantwortet hat, in der Reihenfolge der Tabellen</translation>
    </message>
    <message>
        <source>No network: its port could not be opened.</source>
        <translation>Kein Netz: sein Port ließ sich nicht öffnen.</translation>
    </message>
    <message numerus="yes">
        <source>Add the %n new one(s) in this order</source>
        <translation>
            <numerusform>Das neue Gerät hinzufügen</numerusform>
            <numerusform>Die %n neuen in dieser Reihenfolge hinzufügen</numerusform>
        </translation>
    </message>
    <message>
        <source>stop</source>
        <translation>halt</translation>
    </message>
    <message>
        <source>asking who is there</source>
        <translation>fragt, wer da ist</translation>
    </message>
    <message>
        <source>port %1 of %2, %3 found so far</source>
        <translation>Port %1 von %2, bis jetzt %3 gefunden</translation>
    </message>
    <message>
        <source>not searched yet</source>
        <translation>noch nicht gesucht</translation>
    </message>
    <message>
        <source>%1 found, every patched fixture answers</source>
        <translation>%1 gefunden, jedes gepatchte Gerät antwortet</translation>
    </message>
    <message>
        <source>Add %1, found</source>
        <translation>%1 hinzufügen, gefunden</translation>
    </message>
    <message>
        <source>Patch as found</source>
        <translation>Patchen wie gefunden</translation>
    </message>
    <message>
        <source>%1 has mode %2 now</source>
        <translation>%1 hat jetzt Modus %2</translation>
    </message>
    <message>
        <source>%1 has address %2 now</source>
        <translation>%1 hat jetzt Adresse %2</translation>
    </message>
    <message>
        <source>%1 found; patched, not answering: %2</source>
        <translation>%1 gefunden; gepatcht, antworten nicht: %2</translation>
    </message>
    <message>
        <source>Search asks every port of the network which fixtures hang on it.</source>
        <translation>Suchen fragt jeden Port des Netzes, welche Geräte an ihm hängen.</translation>
    </message>
</context>
<context>
    <name>zelo::desk::Finder</name>
    <message>
        <source>a command</source>
        <translation>ein Befehl</translation>
    </message>
    <message>
        <source>Find a command</source>
        <translation>Einen Befehl finden</translation>
    </message>
    <message>
        <source>Type a part of its name; Enter does it</source>
        <translation>Einen Teil des Namens tippen; Enter führt ihn aus</translation>
    </message>
    <message>
        <source>Commands</source>
        <translation>Befehle</translation>
    </message>
    <message>
        <source>Enter or a click does it</source>
        <translation>Enter oder ein Klick führt ihn aus</translation>
    </message>
</context>
<context>
    <name>zelo::desk::FocusModel</name>
    <message>
        <source>no light</source>
        <translation>kein Licht</translation>
    </message>
    <message>
        <source>no colour asked for</source>
        <translation>keine Farbe verlangt</translation>
    </message>
    <message>
        <source>at %1 %: %2</source>
        <translation>bei %1 %: %2</translation>
    </message>
    <message>
        <source>shows %1</source>
        <translation>zeigt %1</translation>
    </message>
    <message numerus="yes">
        <source>lamp(s) %1</source>
        <translation>
            <numerusform>Lampe %1</numerusform>
            <numerusform>Lampen %1</numerusform>
        </translation>
    </message>
</context>
<context>
    <name>zelo::desk::FoundBlock</name>
    <message>
        <source>%1 at %2</source>
        <translation>%1 bei %2</translation>
    </message>
    <message>
        <source>%1, identity %2, label “%3”</source>
        <translation>%1, Kennung %2, Aufschrift „%3“</translation>
    </message>
    <message>
        <source>Flashing</source>
        <translation>Blinkt</translation>
    </message>
    <message>
        <source>Identify</source>
        <translation>Zeigen</translation>
    </message>
    <message>
        <source>This lamp flashes until pressed again</source>
        <translation>Diese Lampe blinkt, bis nochmals gedrückt wird</translation>
    </message>
    <message>
        <source>Add</source>
        <translation>Hinzufügen</translation>
    </message>
    <message>
        <source>Into the rig, at the address it has</source>
        <translation>In die Anlage, mit der Adresse, die es hat</translation>
    </message>
    <message>
        <source>Show it</source>
        <translation>Wählen</translation>
    </message>
    <message>
        <source>Into the lineup</source>
        <translation>In die Lampenreihe</translation>
    </message>
    <message>
        <source>Change patch</source>
        <translation>Patch ändern</translation>
    </message>
    <message>
        <source>The patch becomes what this device says</source>
        <translation>Der Patch wird, was dieses Gerät sagt</translation>
    </message>
    <message>
        <source>Change device</source>
        <translation>Gerät ändern</translation>
    </message>
    <message>
        <source>The device takes the address and mode of the patch</source>
        <translation>Das Gerät nimmt Adresse und Modus des Patchs an</translation>
    </message>
</context>
<context>
    <name>zelo::desk::FullReadings</name>
    <message>
        <source>Readings in full</source>
        <translation>Ablesungen ganz</translation>
    </message>
    <message>
        <source>Every number of the type in focus (I or a press closes)</source>
        <translation>Jede Zahl des Typs im Blick (I oder ein Druck schließt)</translation>
    </message>
    <message>
        <source>%1, at full; I closes</source>
        <translation>%1, voll; I schließt</translation>
    </message>
    <message>
        <source>wanted</source>
        <translation>gewünscht</translation>
    </message>
    <message>
        <source>got</source>
        <translation>erhalten</translation>
    </message>
    <message>
        <source>Miss as other observers see it</source>
        <translation>Abweichung für andere Beobachter</translation>
    </message>
    <message>
        <source>Δu′v′</source>
        <translation>Δu′v′</translation>
    </message>
    <message>
        <source>Hue bins of TM-30</source>
        <translation>Farbtonfächer von TM-30</translation>
    </message>
    <message>
        <source>circle: the reference; figures: the fidelity of each bin</source>
        <translation>Kreis: die Referenz; Zahlen: die Treue jedes Fachs</translation>
    </message>
    <message>
        <source>The rendering indices mean something near white only (Duv within 0.0054): this light is a colour.</source>
        <translation>Die Indizes der Farbwiedergabe bedeuten nur nahe Weiß etwas (Duv bis 0,0054): dieses Licht ist eine Farbe.</translation>
    </message>
</context>
<context>
    <name>zelo::desk::GradientMap</name>
    <message>
        <source>Ways on the map</source>
        <translation>Wege auf der Karte</translation>
    </message>
    <message>
        <source>The stops and the ways between them in u′ v′. Press or drag: the colour of the chosen stop. Pull the bright way out of its course with the mouse; a double-click takes such a point away. Arrows move, Ins adds a point to the way, Page Up and Page Down choose, Del takes away.</source>
        <translation>Die Stopps und die Wege dazwischen in u′ v′. Drücken oder ziehen: die Farbe des gewählten Stopps. Den hellen Weg mit der Maus aus seiner Bahn ziehen; ein Doppelklick nimmt so einen Punkt weg. Pfeile bewegen, Einfg setzt einen Punkt auf den Weg, Bild auf und Bild ab wählen, Entf nimmt weg.</translation>
    </message>
    <message>
        <source>Stop %1</source>
        <translation>Stopp %1</translation>
    </message>
</context>
<context>
    <name>zelo::desk::GradientModel</name>
    <message>
        <source>left</source>
        <translation>links</translation>
    </message>
    <message>
        <source>right</source>
        <translation>rechts</translation>
    </message>
    <message>
        <source>Begin a gradient</source>
        <translation>Einen Verlauf beginnen</translation>
    </message>
    <message>
        <source>A gradient begins from two lamps or more: choose some first.</source>
        <translation>Ein Verlauf beginnt mit zwei oder mehr Lampen: erst welche wählen.</translation>
    </message>
    <message>
        <source>The first or the last lamp has no colour: give them one first.</source>
        <translation>Die erste oder die letzte Lampe hat keine Farbe: ihnen erst eine geben.</translation>
    </message>
    <message>
        <source>Add a stop</source>
        <translation>Einen Stopp setzen</translation>
    </message>
    <message>
        <source>Colour of a stop</source>
        <translation>Farbe eines Stopps</translation>
    </message>
    <message>
        <source>Move a stop</source>
        <translation>Einen Stopp bewegen</translation>
    </message>
    <message>
        <source>Stop evenly between its neighbours</source>
        <translation>Stopp gleichmäßig zwischen seinen Nachbarn</translation>
    </message>
    <message>
        <source>A gradient keeps two stops at least.</source>
        <translation>Ein Verlauf behält mindestens zwei Stopps.</translation>
    </message>
    <message>
        <source>Remove a stop</source>
        <translation>Einen Stopp entfernen</translation>
    </message>
    <message>
        <source>Move a stop of intensity</source>
        <translation>Einen Stopp der Intensität bewegen</translation>
    </message>
    <message>
        <source>Intensity of a stop</source>
        <translation>Intensität eines Stopps</translation>
    </message>
    <message>
        <source>Add a stop of intensity</source>
        <translation>Einen Stopp der Intensität setzen</translation>
    </message>
    <message>
        <source>Remove a stop of intensity</source>
        <translation>Einen Stopp der Intensität entfernen</translation>
    </message>
    <message>
        <source>Pull the stops into reach of all</source>
        <translation>Stopps in aller Reichweite ziehen</translation>
    </message>
    <message>
        <source>Lay the gradient over the lineup</source>
        <translation>Den Verlauf über die Lampenreihe legen</translation>
    </message>
    <message>
        <source>Keep gradient %1</source>
        <translation>Verlauf %1 behalten</translation>
    </message>
    <message>
        <source>Fixed colours instead of a gradient</source>
        <translation>Feste Farben statt eines Verlaufs</translation>
    </message>
</context>
<context>
    <name>zelo::desk::GradientPlan</name>
    <message>
        <source>Line on the plan</source>
        <translation>Linie auf dem Plan</translation>
    </message>
    <message>
        <source>The lamps from above. Drag turns the line that the gradient follows, or moves the point it lies away from; arrows too, Shift finely</source>
        <translation>Die Lampen von oben. Ziehen dreht die Linie, der der Verlauf folgt, oder bewegt den Punkt, von dem er weg geht; Pfeile auch, Umschalt fein</translation>
    </message>
    <message>
        <source>Move the point of a gradient</source>
        <translation>Den Punkt eines Verlaufs bewegen</translation>
    </message>
    <message>
        <source>Turn the line of a gradient</source>
        <translation>Die Linie eines Verlaufs drehen</translation>
    </message>
    <message>
        <source>Point</source>
        <translation>Punkt</translation>
    </message>
    <message>
        <source>%1 m across, %2 m upstage</source>
        <translation>%1 m quer, %2 m nach hinten</translation>
    </message>
    <message>
        <source>Line</source>
        <translation>Linie</translation>
    </message>
    <message>
        <source>%1°</source>
        <translation>%1°</translation>
    </message>
</context>
<context>
    <name>zelo::desk::GradientSide</name>
    <message>
        <source>Pull the stops into reach of all</source>
        <translation>Stopps in aller Reichweite ziehen</translation>
    </message>
    <message>
        <source>Stops that a type cannot show take the nearest colour that all can</source>
        <translation>Stopps, die ein Typ nicht zeigen kann, nehmen die nächste Farbe, die alle können</translation>
    </message>
    <message>
        <source>While it is pressed the lamps show what a desk makes of the stops that knows levels only</source>
        <translation>Solange gedrückt, zeigen die Lampen, was ein Pult aus den Stopps macht, das nur Pegel kennt</translation>
    </message>
    <message>
        <source>Fixed colours</source>
        <translation>Feste Farben</translation>
    </message>
    <message>
        <source>The lamps keep their colours and follow no gradient any more</source>
        <translation>Die Lampen behalten ihre Farben und folgen keinem Verlauf mehr</translation>
    </message>
    <message>
        <source>Keep the change</source>
        <translation>Änderung behalten</translation>
    </message>
    <message>
        <source>The kept gradient becomes what it is now: all that follow it change with it</source>
        <translation>Der behaltene Verlauf wird, was er jetzt ist: alle, die ihm folgen, gehen mit</translation>
    </message>
    <message>
        <source>Keep as…</source>
        <translation>Behalten als …</translation>
    </message>
    <message>
        <source>Keep it under a name, as a palette</source>
        <translation>Unter einem Namen behalten, als Palette</translation>
    </message>
    <message>
        <source>Put down</source>
        <translation>Ablegen</translation>
    </message>
    <message>
        <source>Let go of everything in hand</source>
        <translation>Alles loslassen, was in der Hand ist</translation>
    </message>
    <message>
        <source>Gradient, readings</source>
        <translation>Verlauf, Ablesungen</translation>
    </message>
    <message>
        <source>Types in this gradient</source>
        <translation>Typen in diesem Verlauf</translation>
    </message>
    <message>
        <source>worst miss</source>
        <translation>größte Abweichung</translation>
    </message>
    <message>
        <source>left alone</source>
        <translation>unberührt</translation>
    </message>
    <message>
        <source>%1, nearest slot</source>
        <translation>%1, nächster Platz</translation>
    </message>
    <message>
        <source>%1 ΔE</source>
        <translation>%1 ΔE</translation>
    </message>
    <message>
        <source>%1, lamp %2 to %3</source>
        <translation>%1, Lampe %2 bis %3</translation>
    </message>
    <message>
        <source>Evenness</source>
        <translation>Gleichmaß</translation>
    </message>
    <message>
        <source>usual step</source>
        <translation>üblicher Schritt</translation>
    </message>
    <message>
        <source>most</source>
        <translation>größter</translation>
    </message>
    <message>
        <source>least</source>
        <translation>kleinster</translation>
    </message>
    <message>
        <source>emitter, largest step</source>
        <translation>Emitter, größter Schritt</translation>
    </message>
    <message>
        <source>%1 %, not %2 %</source>
        <translation>%1 %, nicht %2 %</translation>
    </message>
    <message>
        <source>%1 %</source>
        <translation>%1 %</translation>
    </message>
    <message>
        <source>Readings</source>
        <translation>Ablesungen</translation>
    </message>
    <message>
        <source>This lamp is in no gradient.</source>
        <translation>Diese Lampe ist in keinem Verlauf.</translation>
    </message>
    <message>
        <source>Begin a gradient, and its steps, misses and ways stand here.</source>
        <translation>Ein Verlauf, und hier stehen seine Schritte, Abweichungen und Wege.</translation>
    </message>
    <message>
        <source>unknown type</source>
        <translation>unbekannter Typ</translation>
    </message>
    <message>
        <source>Lamp %1</source>
        <translation>Lampe %1</translation>
    </message>
    <message>
        <source>miss</source>
        <translation>Abweichung</translation>
    </message>
    <message>
        <source>place</source>
        <translation>Platz</translation>
    </message>
    <message>
        <source>makes no colours: left alone</source>
        <translation>macht keine Farben: unberührt</translation>
    </message>
    <message>
        <source>out of reach: %1</source>
        <translation>außer Reichweite: %1</translation>
    </message>
    <message>
        <source>Levels alone</source>
        <translation>Nur Pegel</translation>
    </message>
</context>
<context>
    <name>zelo::desk::GradientView</name>
    <message>
        <source>Gradient</source>
        <translation>Verlauf</translation>
    </message>
    <message>
        <source>Way</source>
        <translation>Weg</translation>
    </message>
    <message>
        <source>From this stop to the next: as levels alone would, straight on the map, around the white, through dark, or with a jump</source>
        <translation>Von diesem Stopp zum nächsten: wie Pegel allein, gerade auf der Karte, um das Weiß, durch Dunkel oder mit einem Sprung</translation>
    </message>
    <message>
        <source>Levels</source>
        <translation>Pegel</translation>
    </message>
    <message>
        <source>Straight</source>
        <translation>Gerade</translation>
    </message>
    <message>
        <source>Around</source>
        <translation>Herum</translation>
    </message>
    <message>
        <source>Through dark</source>
        <translation>Durch Dunkel</translation>
    </message>
    <message>
        <source>Jump</source>
        <translation>Sprung</translation>
    </message>
    <message>
        <source>Side</source>
        <translation>Seite</translation>
    </message>
    <message>
        <source>By which hues the way goes round the white</source>
        <translation>Über welche Töne der Weg um das Weiß geht</translation>
    </message>
    <message>
        <source>left</source>
        <translation>links</translation>
    </message>
    <message>
        <source>right</source>
        <translation>rechts</translation>
    </message>
    <message>
        <source>Saturation floor</source>
        <translation>Sättigungsgrenze</translation>
    </message>
    <message>
        <source>How much of its ends&apos; saturation the way around keeps</source>
        <translation>Wie viel von der Sättigung seiner Enden der Weg herum behält</translation>
    </message>
    <message>
        <source>%</source>
        <translation>%</translation>
    </message>
    <message>
        <source>no hue</source>
        <translation>kein Ton</translation>
    </message>
    <message>
        <source>A hue that the way around stays out of</source>
        <translation>Ein Ton, den der Weg herum meidet</translation>
    </message>
    <message>
        <source>Change at</source>
        <translation>Wechsel bei</translation>
    </message>
    <message>
        <source>Where on the way the colour changes</source>
        <translation>Wo auf dem Weg die Farbe wechselt</translation>
    </message>
    <message>
        <source>Way of a gradient</source>
        <translation>Weg eines Verlaufs</translation>
    </message>
    <message>
        <source>Side of a way</source>
        <translation>Seite eines Wegs</translation>
    </message>
    <message>
        <source>Where the colour changes</source>
        <translation>Wo die Farbe wechselt</translation>
    </message>
    <message>
        <source>Step</source>
        <translation>Schritt</translation>
    </message>
    <message>
        <source>Even to the eye from lamp to lamp, or even in position on the way</source>
        <translation>Gleichmäßig fürs Auge von Lampe zu Lampe oder gleichmäßig auf dem Weg</translation>
    </message>
    <message>
        <source>to the eye</source>
        <translation>fürs Auge</translation>
    </message>
    <message>
        <source>in place</source>
        <translation>im Ort</translation>
    </message>
    <message>
        <source>Intensity</source>
        <translation>Intensität</translation>
    </message>
    <message>
        <source>Left as it is; a gradient of its own, with stops in the ribbon; or all lamps as bright as the dimmest of them can be</source>
        <translation>So gelassen; ein eigener Verlauf mit Stopps im Band; oder alle Lampen so hell, wie die dunkelste sein kann</translation>
    </message>
    <message>
        <source>untouched</source>
        <translation>unberührt</translation>
    </message>
    <message>
        <source>its own</source>
        <translation>eigene</translation>
    </message>
    <message>
        <source>all as bright</source>
        <translation>alle gleich hell</translation>
    </message>
    <message>
        <source>Reach</source>
        <translation>Reichweite</translation>
    </message>
    <message>
        <source>Within what all types can show, so that they agree; or each as far as it can</source>
        <translation>In dem, was alle Typen zeigen können, so dass sie gleich sind; oder jeder so weit er kann</translation>
    </message>
    <message>
        <source>of all</source>
        <translation>aller</translation>
    </message>
    <message>
        <source>each its own</source>
        <translation>jeder seine</translation>
    </message>
    <message>
        <source>Mixes</source>
        <translation>Mischungen</translation>
    </message>
    <message>
        <source>Neighbours of a type made from nearly the same emitters, so that they do not part on skin; or each lamp by the intent alone</source>
        <translation>Nachbarn eines Typs aus fast denselben Emittern, so dass sie auf Haut nicht auseinandergehen; oder jede Lampe allein nach der Absicht</translation>
    </message>
    <message>
        <source>together</source>
        <translation>gemeinsam</translation>
    </message>
    <message>
        <source>apart</source>
        <translation>einzeln</translation>
    </message>
    <message>
        <source>From the first lamp to the last, as they are now</source>
        <translation>Von der ersten Lampe zur letzten, wie sie jetzt sind</translation>
    </message>
    <message>
        <source>The colours of the two become the stops</source>
        <translation>Die Farben der beiden werden die Stopps</translation>
    </message>
    <message>
        <source>Lay it over the lineup</source>
        <translation>Über die Lampenreihe legen</translation>
    </message>
    <message>
        <source>All of it, over these lamps in this order</source>
        <translation>Ganz, über diese Lampen in dieser Ordnung</translation>
    </message>
    <message>
        <source>Take its lamps</source>
        <translation>Seine Lampen nehmen</translation>
    </message>
    <message>
        <source>The lamps it is laid over become the lineup</source>
        <translation>Die Lampen, über denen er liegt, werden die Lampenreihe</translation>
    </message>
    <message>
        <source>Steps of a gradient</source>
        <translation>Schritte eines Verlaufs</translation>
    </message>
    <message>
        <source>Intensity of a gradient</source>
        <translation>Intensität eines Verlaufs</translation>
    </message>
    <message>
        <source>Reach of a gradient</source>
        <translation>Reichweite eines Verlaufs</translation>
    </message>
    <message>
        <source>Mixes of a gradient</source>
        <translation>Mischungen eines Verlaufs</translation>
    </message>
    <message>
        <source>Stay out of</source>
        <translation>Meiden</translation>
    </message>
    <message>
        <source>Stay out of no hue</source>
        <translation>Keinen Ton meiden</translation>
    </message>
    <message>
        <source>Stay out of %1</source>
        <translation>%1 meiden</translation>
    </message>
    <message>
        <source>Gradient %1</source>
        <translation>Verlauf %1</translation>
    </message>
    <message>
        <source>way from %1 to %2</source>
        <translation>Weg von %1 zu %2</translation>
    </message>
    <message>
        <source>by</source>
        <comment>by which hues</comment>
        <translation>über</translation>
    </message>
    <message>
        <source>saturation floor</source>
        <translation>Sättigungsgrenze</translation>
    </message>
    <message>
        <source>stays out of</source>
        <translation>meidet</translation>
    </message>
    <message>
        <source>change at</source>
        <translation>Wechsel bei</translation>
    </message>
    <message>
        <source>step even</source>
        <translation>Schritt gleich</translation>
    </message>
    <message>
        <source>intensity</source>
        <translation>Intensität</translation>
    </message>
    <message>
        <source>reach</source>
        <translation>Reichweite</translation>
    </message>
    <message>
        <source>mixes</source>
        <translation>Mischungen</translation>
    </message>
    <message>
        <source>Lays this gradient over the lineup</source>
        <translation>Legt diesen Verlauf über die Lampenreihe</translation>
    </message>
    <message>
        <source>a stretch</source>
        <translation>ein Stück</translation>
    </message>
    <message>
        <source>none on these lamps yet</source>
        <translation>noch keiner auf diesen Lampen</translation>
    </message>
    <message>
        <source>The first end is chosen. Now choose the last one in the swatch book, or drop it here.</source>
        <translation>Das erste Ende ist gewählt. Jetzt das letzte im Farbbuch wählen oder hier fallen lassen.</translation>
    </message>
    <message>
        <source>Or choose two colours or palettes in the swatch book, the first end and then the last.</source>
        <translation>Oder zwei Farben oder Paletten im Farbbuch wählen, erst das eine Ende, dann das andere.</translation>
    </message>
    <message>
        <source>or lay a kept one over them</source>
        <translation>oder einen behaltenen darüberlegen</translation>
    </message>
    <message numerus="yes">
        <source>%n stop(s) over %1</source>
        <translation>
            <numerusform>%n Stopp über %1</numerusform>
            <numerusform>%n Stopps über %1</numerusform>
        </translation>
    </message>
    <message>
        <source>%1, changed: %2</source>
        <translation>%1, geändert: %2</translation>
    </message>
    <message>
        <source>%1: %2</source>
        <translation>%1: %2</translation>
    </message>
    <message>
        <source>Laid over %1, not over these in this order.</source>
        <translation>Liegt über %1, nicht so über diesen.</translation>
    </message>
</context>
<context>
    <name>zelo::desk::Header</name>
    <message>
        <source>Views</source>
        <translation>Ansichten</translation>
    </message>
    <message>
        <source>The six views, in the order of the work (1 to 6)</source>
        <translation>Die sechs Ansichten, in der Reihenfolge der Arbeit (1 bis 6)</translation>
    </message>
    <message>
        <source>Rig</source>
        <translation>Anlage</translation>
    </message>
    <message>
        <source>Match</source>
        <translation>Abgleich</translation>
    </message>
    <message>
        <source>Gradient</source>
        <translation>Verlauf</translation>
    </message>
    <message>
        <source>Crossfade</source>
        <translation>Übergang</translation>
    </message>
    <message>
        <source>Cues</source>
        <translation>Cues</translation>
    </message>
    <message>
        <source>Ripple</source>
        <translation>Welle</translation>
    </message>
    <message>
        <source>Master</source>
        <translation>Master</translation>
    </message>
    <message>
        <source>All intensities together</source>
        <translation>Alle Intensitäten zusammen</translation>
    </message>
    <message>
        <source>Dark</source>
        <translation>Dunkel</translation>
    </message>
    <message>
        <source>All light out, at once (Ctrl+D)</source>
        <translation>Alles Licht aus, sofort (Strg+D)</translation>
    </message>
    <message>
        <source>The show: open, save, undo, theme, help (F10 or Alt)</source>
        <translation>Die Show: öffnen, sichern, zurück, Farben, Hilfe (F10 oder Alt)</translation>
    </message>
    <message>
        <source>Header</source>
        <translation>Kopf</translation>
    </message>
    <message>
        <source>Show: %1</source>
        <translation>Show: %1</translation>
    </message>
    <message>
        <source>saved</source>
        <translation>gesichert</translation>
    </message>
    <message>
        <source>no file yet</source>
        <translation>noch keine Datei</translation>
    </message>
    <message>
        <source>not saved</source>
        <translation>nicht gesichert</translation>
    </message>
    <message>
        <source>to the network</source>
        <translation>ans Netz</translation>
    </message>
    <message>
        <source>this computer</source>
        <translation>dieser Rechner</translation>
    </message>
    <message>
        <source>%1 fps</source>
        <translation>%1 B/s</translation>
    </message>
    <message>
        <source>no output</source>
        <translation>keine Ausgabe</translation>
    </message>
    <message>
        <source>%1, %2</source>
        <translation>%1, %2</translation>
    </message>
    <message numerus="yes">
        <source>%n receiver(s)</source>
        <translation>
            <numerusform>%n Empfänger</numerusform>
            <numerusform>%n Empfänger</numerusform>
        </translation>
    </message>
    <message>
        <source>Time in hand</source>
        <translation>Zeit in der Hand</translation>
    </message>
    <message>
        <source>Changes by hand fade in this time; a drag follows at once</source>
        <translation>Änderungen von Hand blenden in dieser Zeit; ein Ziehen folgt sofort</translation>
    </message>
    <message>
        <source>Solo</source>
        <translation>Solo</translation>
    </message>
    <message>
        <source>Only some lamps show: a click lets all show again</source>
        <translation>Nur einige Lampen leuchten: ein Klick lässt alle wieder leuchten</translation>
    </message>
    <message>
        <source>Time</source>
        <translation>Zeit</translation>
    </message>
    <message>
        <source>%1, seen by %2</source>
        <translation>%1, gesehen von %2</translation>
    </message>
    <message>
        <source>by %1</source>
        <translation>durch %1</translation>
    </message>
</context>
<context>
    <name>zelo::desk::HomeForm</name>
    <message>
        <source>Choose lamps first: their home values are shown then.</source>
        <translation>Erst Lampen wählen: dann erscheinen ihre Ruhewerte.</translation>
    </message>
    <message>
        <source>Home values of %1 (%2)</source>
        <translation>Ruhewerte von %1 (%2)</translation>
    </message>
    <message>
        <source>Where each part rests while no colour is asked for. Not ticked: as its type says.</source>
        <translation>Wo jeder Teil ruht, solange keine Farbe verlangt ist. Nicht angekreuzt: wie sein Typ sagt.</translation>
    </message>
    <message>
        <source>A home value of these lamps&apos; own</source>
        <translation>Ein eigener Ruhewert dieser Lampen</translation>
    </message>
    <message>
        <source>Home of %1</source>
        <translation>Ruhewert von %1</translation>
    </message>
    <message>
        <source>Where it rests; a double press: as its type says</source>
        <translation>Wo er ruht; Doppelklick: wie der Typ sagt</translation>
    </message>
    <message>
        <source>Set them</source>
        <translation>Setzen</translation>
    </message>
    <message>
        <source>Not now</source>
        <translation>Nicht jetzt</translation>
    </message>
    <message>
        <source>Home values of %1</source>
        <translation>Ruhewerte von %1</translation>
    </message>
</context>
<context>
    <name>zelo::desk::HullPlot</name>
    <message>
        <source>Hull of the type</source>
        <translation>Hülle des Typs</translation>
    </message>
    <message>
        <source>u′ v′: each emitter where it is, and all that they reach together</source>
        <translation>u′ v′: jeder Emitter, wo er ist, und alles, was sie zusammen erreichen</translation>
    </message>
</context>
<context>
    <name>zelo::desk::KeepForm</name>
    <message>
        <source>Keep as</source>
        <translation>Behalten als</translation>
    </message>
    <message>
        <source>What is kept (← →)</source>
        <translation>Was behalten wird (← →)</translation>
    </message>
    <message>
        <source>on stage</source>
        <translation>auf der Bühne</translation>
    </message>
    <message>
        <source>colour</source>
        <translation>Farbe</translation>
    </message>
    <message>
        <source>intensity</source>
        <translation>Intensität</translation>
    </message>
    <message>
        <source>both</source>
        <translation>beides</translation>
    </message>
    <message>
        <source>look</source>
        <translation>Look</translation>
    </message>
    <message>
        <source>group</source>
        <translation>Gruppe</translation>
    </message>
    <message>
        <source>Keep</source>
        <translation>Behalten</translation>
    </message>
    <message>
        <source>Enter</source>
        <translation>Enter</translation>
    </message>
    <message>
        <source>Keeps it</source>
        <translation>Behält es</translation>
    </message>
    <message>
        <source>Name</source>
        <translation>Name</translation>
    </message>
    <message>
        <source>The name under which it is kept</source>
        <translation>Der Name, unter dem es behalten wird</translation>
    </message>
    <message>
        <source>name</source>
        <translation>Name</translation>
    </message>
    <message>
        <source>Keep on stage: what is in hand becomes what the stage shows.</source>
        <translation>Auf der Bühne behalten: was in der Hand ist, wird das, was die Bühne zeigt.</translation>
    </message>
    <message>
        <source>A palette of the first lamp&apos;s colour, for any fixture.</source>
        <translation>Eine Palette der Farbe der ersten Lampe, für jedes Gerät.</translation>
    </message>
    <message>
        <source>A palette of the first lamp&apos;s intensity.</source>
        <translation>Eine Palette der Intensität der ersten Lampe.</translation>
    </message>
    <message>
        <source>A palette of the first lamp&apos;s colour and intensity.</source>
        <translation>Eine Palette von Farbe und Intensität der ersten Lampe.</translation>
    </message>
    <message>
        <source>palette</source>
        <translation>Palette</translation>
    </message>
    <message>
        <source>Keep %1 %2</source>
        <translation>Behalten: %1 %2</translation>
    </message>
    <message>
        <source>A look of what the lineup shows: %1.</source>
        <translation>Ein Look von dem, was die Lampenreihe zeigt: %1.</translation>
    </message>
    <message>
        <source>A group of the lineup in this order: %1.</source>
        <translation>Eine Gruppe der Lampenreihe in dieser Reihenfolge: %1.</translation>
    </message>
    <message>
        <source>gradient</source>
        <translation>Verlauf</translation>
    </message>
    <message>
        <source>The gradient that the lineup shows, for any lineup.</source>
        <translation>Der Verlauf, den die Lampenreihe zeigt, für jede Lampenreihe.</translation>
    </message>
</context>
<context>
    <name>zelo::desk::KeySheet</name>
    <message>
        <source>Keys and commands</source>
        <translation>Tasten und Befehle</translation>
    </message>
    <message>
        <source>Type to search; Esc closes</source>
        <translation>Tippen sucht; Esc schließt</translation>
    </message>
    <message>
        <source>Search keys and commands</source>
        <translation>Tasten und Befehle suchen</translation>
    </message>
    <message>
        <source>A part of a command or its key</source>
        <translation>Ein Teil eines Befehls oder seine Taste</translation>
    </message>
    <message>
        <source>search</source>
        <translation>suchen</translation>
    </message>
    <message>
        <source>Keys</source>
        <translation>Tasten</translation>
    </message>
    <message>
        <source>All keys, by what they belong to</source>
        <translation>Alle Tasten, nach dem, wozu sie gehören</translation>
    </message>
    <message>
        <source>Nothing has that in its name.</source>
        <translation>Nichts hat das im Namen.</translation>
    </message>
    <message>
        <source>Esc closes; Ctrl+K finds a command and does it</source>
        <translation>Esc schließt; Strg+K findet einen Befehl und führt ihn aus</translation>
    </message>
</context>
<context>
    <name>zelo::desk::LaidControls</name>
    <message>
        <source>first to last</source>
        <translation>erster bis letzter</translation>
    </message>
    <message>
        <source>last to first</source>
        <translation>letzter bis erster</translation>
    </message>
    <message>
        <source>from the middle</source>
        <translation>von der Mitte</translation>
    </message>
    <message>
        <source>to the middle</source>
        <translation>zur Mitte</translation>
    </message>
    <message>
        <source>to and fro</source>
        <translation>hin und her</translation>
    </message>
    <message>
        <source>shuffled</source>
        <translation>gemischt</translation>
    </message>
    <message>
        <source>In which order it goes over the lamps</source>
        <translation>In welcher Ordnung es über die Lampen geht</translation>
    </message>
    <message>
        <source>mirrored</source>
        <translation>gespiegelt</translation>
    </message>
    <message>
        <source>There and back about the middle</source>
        <translation>Hin und zurück um die Mitte</translation>
    </message>
    <message>
        <source>Laid by</source>
        <translation>Gelegt nach</translation>
    </message>
    <message>
        <source>By the order of the lineup, or by where the lamps hang: along a line on the plan, or away from a point of it</source>
        <translation>Nach der Ordnung der Lampenreihe oder danach, wo die Lampen hängen: entlang einer Linie auf dem Plan oder weg von einem Punkt</translation>
    </message>
    <message>
        <source>order</source>
        <translation>Reihe</translation>
    </message>
    <message>
        <source>line</source>
        <translation>Linie</translation>
    </message>
    <message>
        <source>point</source>
        <translation>Punkt</translation>
    </message>
    <message>
        <source>Passes</source>
        <translation>Durchgänge</translation>
    </message>
    <message>
        <source>How often it goes to and fro in all</source>
        <translation>Wie oft es im Ganzen hin und her geht</translation>
    </message>
    <message>
        <source>Seed</source>
        <translation>Startzahl</translation>
    </message>
    <message>
        <source>Another number, another order; the same number, the same one</source>
        <translation>Eine andere Zahl, eine andere Ordnung; dieselbe Zahl, dieselbe</translation>
    </message>
    <message>
        <source>Blocks of</source>
        <translation>Blöcke von</translation>
    </message>
    <message>
        <source>So many lamps beside each other share a colour</source>
        <translation>So viele Lampen nebeneinander teilen eine Farbe</translation>
    </message>
    <message>
        <source>lamps</source>
        <translation>Lampen</translation>
    </message>
    <message>
        <source>Repeats</source>
        <translation>Wiederholungen</translation>
    </message>
    <message>
        <source>How often the whole of it is laid over the lineup</source>
        <translation>Wie oft das Ganze über die Lampenreihe gelegt wird</translation>
    </message>
    <message>
        <source>times</source>
        <translation>mal</translation>
    </message>
    <message>
        <source>Offset</source>
        <translation>Versatz</translation>
    </message>
    <message>
        <source>Turns it along the lamps</source>
        <translation>Dreht es entlang der Lampen</translation>
    </message>
    <message>
        <source>Direction of the line</source>
        <translation>Richtung der Linie</translation>
    </message>
    <message>
        <source>0° goes from left to right, 90° upstage</source>
        <translation>0° geht von links nach rechts, 90° nach hinten</translation>
    </message>
    <message>
        <source>°</source>
        <translation>°</translation>
    </message>
    <message>
        <source>Point across</source>
        <translation>Punkt quer</translation>
    </message>
    <message>
        <source>Metres from the middle, to the right</source>
        <translation>Meter von der Mitte nach rechts</translation>
    </message>
    <message>
        <source>m</source>
        <translation>m</translation>
    </message>
    <message>
        <source>Point upstage</source>
        <translation>Punkt nach hinten</translation>
    </message>
    <message>
        <source>Metres from the middle, upstage</source>
        <translation>Meter von der Mitte nach hinten</translation>
    </message>
    <message>
        <source>Mirrored</source>
        <translation>Gespiegelt</translation>
    </message>
    <message>
        <source>Not mirrored</source>
        <translation>Nicht gespiegelt</translation>
    </message>
    <message>
        <source>Shuffle</source>
        <translation>Würfeln</translation>
    </message>
    <message>
        <source>Blocks</source>
        <translation>Blöcke</translation>
    </message>
    <message>
        <source>What it is laid by</source>
        <translation>Wonach es gelegt wird</translation>
    </message>
    <message>
        <source>Turn the line</source>
        <translation>Linie drehen</translation>
    </message>
    <message>
        <source>Move the point</source>
        <translation>Punkt verschieben</translation>
    </message>
    <message>
        <source>Order</source>
        <translation>Ordnung</translation>
    </message>
    <message>
        <source>Order along the lineup</source>
        <translation>Ordnung entlang der Lampenreihe</translation>
    </message>
    <message>
        <source>laid over the lineup</source>
        <translation>über die Lampenreihe gelegt</translation>
    </message>
    <message>
        <source>passes</source>
        <translation>Durchgänge</translation>
    </message>
    <message>
        <source>seed</source>
        <translation>Startzahl</translation>
    </message>
    <message>
        <source>blocks of</source>
        <translation>Blöcke von</translation>
    </message>
    <message>
        <source>repeats</source>
        <translation>Wiederholungen</translation>
    </message>
    <message>
        <source>offset</source>
        <translation>Versatz</translation>
    </message>
    <message>
        <source>by</source>
        <comment>by what it is laid</comment>
        <translation>nach</translation>
    </message>
    <message>
        <source>direction</source>
        <translation>Richtung</translation>
    </message>
    <message>
        <source>across</source>
        <translation>quer</translation>
    </message>
    <message>
        <source>upstage</source>
        <translation>nach hinten</translation>
    </message>
</context>
<context>
    <name>zelo::desk::LevelColumn</name>
    <message>
        <source>%1 level</source>
        <translation>Pegel von %1</translation>
    </message>
    <message>
        <source>%1: drag, wheel or type its level. P pins it, X keeps it out of the mix.</source>
        <translation>%1: den Pegel ziehen, drehen oder tippen. P hält ihn fest, X lässt ihn aus der Mischung.</translation>
    </message>
    <message>
        <source>Unpin %1	P</source>
        <translation>%1 lösen	P</translation>
    </message>
    <message>
        <source>Pin %1 here	P</source>
        <translation>%1 hier festhalten	P</translation>
    </message>
    <message>
        <source>Use %1 again	X</source>
        <translation>%1 wieder verwenden	X</translation>
    </message>
    <message>
        <source>Keep %1 out	X</source>
        <translation>%1 auslassen	X</translation>
    </message>
    <message>
        <source>Solve again	Backspace</source>
        <translation>Neu lösen	Rücktaste</translation>
    </message>
    <message>
        <source>out</source>
        <translation>aus</translation>
    </message>
</context>
<context>
    <name>zelo::desk::LineupPanel</name>
    <message>
        <source>Choose lamps…</source>
        <translation>Lampen wählen …</translation>
    </message>
    <message>
        <source>Take a group into the lineup</source>
        <translation>Eine Gruppe in die Lampenreihe nehmen</translation>
    </message>
    <message>
        <source>Reverse</source>
        <translation>Umkehren</translation>
    </message>
    <message>
        <source>Turn the order round</source>
        <translation>Die Reihenfolge umdrehen</translation>
    </message>
    <message>
        <source>From the middle</source>
        <translation>Von der Mitte</translation>
    </message>
    <message>
        <source>Order from the middle outwards</source>
        <translation>Reihenfolge von der Mitte nach außen</translation>
    </message>
    <message>
        <source>Shuffle</source>
        <translation>Würfeln</translation>
    </message>
    <message>
        <source>Another random order</source>
        <translation>Eine andere zufällige Reihenfolge</translation>
    </message>
    <message>
        <source>Lineup</source>
        <translation>Lampenreihe</translation>
    </message>
    <message>
        <source>The chosen lamps in their order: drag up or down for intensity, sideways to move</source>
        <translation>Die gewählten Lampen in ihrer Reihenfolge: hoch oder runter ziehen für die Intensität, seitwärts zum Verschieben</translation>
    </message>
    <message>
        <source>No lamps chosen yet.</source>
        <translation>Noch keine Lampen gewählt.</translation>
    </message>
    <message numerus="yes">
        <source>%1 of %n type(s)</source>
        <translation>
            <numerusform>%1 eines Typs</numerusform>
            <numerusform>%1 von %n Typen</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <source>%n in hand, Esc puts it (them) down</source>
        <translation>
            <numerusform>%n in der Hand, Esc legt sie ab</numerusform>
            <numerusform>%n in der Hand, Esc legt sie ab</numerusform>
        </translation>
    </message>
    <message>
        <source>nothing in hand</source>
        <translation>nichts in der Hand</translation>
    </message>
    <message>
        <source>lamp %1 is dark: %2</source>
        <translation>Lampe %1 ist dunkel: %2</translation>
    </message>
    <message>
        <source>Order</source>
        <translation>Reihenfolge</translation>
    </message>
    <message>
        <source>%1 %</source>
        <translation>%1 %</translation>
    </message>
    <message>
        <source>, dark: %1</source>
        <translation>, dunkel: %1</translation>
    </message>
    <message>
        <source>, in hand</source>
        <translation>, in der Hand</translation>
    </message>
    <message>
        <source>Lamp %1</source>
        <translation>Lampe %1</translation>
    </message>
    <message>
        <source>Lamp %1, %2, %3 in universe %4</source>
        <translation>Lampe %1, %2, %3 in Universum %4</translation>
    </message>
    <message>
        <source>
Dark: %1</source>
        <translation>
Dunkel: %1</translation>
    </message>
    <message>
        <source>All lamps</source>
        <translation>Alle Lampen</translation>
    </message>
    <message>
        <source>%1, %2</source>
        <translation>%1, %2</translation>
    </message>
    <message>
        <source>±</source>
        <translation>±</translation>
    </message>
    <message numerus="yes">
        <source>%n trimmed (±), Backspace lets go</source>
        <translation>
            <numerusform>%n abgeglichen (±), Rücktaste lässt los</numerusform>
            <numerusform>%n abgeglichen (±), Rücktaste lässt los</numerusform>
        </translation>
    </message>
    <message>
        <source>, trimmed</source>
        <translation>, abgeglichen</translation>
    </message>
    <message>
        <source>, on its way</source>
        <translation>, unterwegs</translation>
    </message>
    <message>
        <source>lamp %1 is locked and stays as it is (Shift+L)</source>
        <translation>Lampe %1 ist gesperrt und bleibt, wie sie ist (Umschalt+L)</translation>
    </message>
    <message>
        <source>, locked</source>
        <translation>, gesperrt</translation>
    </message>
    <message>
        <source>In hand</source>
        <translation>In der Hand</translation>
    </message>
    <message>
        <source>intensity</source>
        <translation>Helligkeit</translation>
    </message>
    <message>
        <source>colour</source>
        <translation>Farbe</translation>
    </message>
    <message>
        <source>a trim</source>
        <translation>ein Abgleich</translation>
    </message>
    <message>
        <source>In hand: %1</source>
        <translation>In der Hand: %1</translation>
    </message>
    <message>
        <source>Unlock</source>
        <translation>Entsperren</translation>
    </message>
    <message>
        <source>Lock: they keep what they show</source>
        <translation>Sperren: Sie behalten, was sie zeigen</translation>
    </message>
    <message>
        <source>Solo, or all again</source>
        <translation>Solo, oder wieder alle</translation>
    </message>
    <message>
        <source>What the first lamp shows, to all of the lineup</source>
        <translation>Was die erste Lampe zeigt, auf die ganze Lampenreihe</translation>
    </message>
    <message>
        <source>Other channels: shutter, zoom…</source>
        <translation>Andere Kanäle: Shutter, Zoom…</translation>
    </message>
    <message>
        <source>Put down of the lineup</source>
        <translation>Von der Lampenreihe ablegen</translation>
    </message>
    <message>
        <source>colours</source>
        <translation>Farben</translation>
    </message>
    <message>
        <source>intensities</source>
        <translation>Helligkeiten</translation>
    </message>
    <message>
        <source>all of it</source>
        <translation>alles</translation>
    </message>
    <message>
        <source>
Locked: it keeps what it shows (Shift+L unlocks)</source>
        <translation>
Gesperrt: Sie behält, was sie zeigt (Umschalt+L entsperrt)</translation>
    </message>
    <message>
        <source>No lamps in the rig yet: 1, then Ins.</source>
        <translation>Noch keine Lampen: 1, dann Einfg.</translation>
    </message>
</context>
<context>
    <name>zelo::desk::LookButtons</name>
    <message>
        <source>faders</source>
        <translation>Fader</translation>
    </message>
    <message>
        <source>Faders instead of buttons</source>
        <translation>Fader statt Tasten</translation>
    </message>
    <message>
        <source>Looks as buttons</source>
        <translation>Looks als Tasten</translation>
    </message>
    <message>
        <source>No looks yet: K keeps one</source>
        <translation>Noch keine Looks: K behält einen</translation>
    </message>
    <message>
        <source>shown, %1 s</source>
        <translation>gezeigt, %1 s</translation>
    </message>
    <message>
        <source>%1 s</source>
        <translation>%1 s</translation>
    </message>
    <message>
        <source>None yet. Keep what is shown as a look (K): a press shows it in its own time.</source>
        <translation>Noch keine. Was gezeigt wird, als Look behalten (K): Ein Druck zeigt ihn in seiner Zeit.</translation>
    </message>
    <message>
        <source>%1: shows it in %2 s; N shows the next. Right click for more.</source>
        <translation>%1: zeigt ihn in %2 s; N zeigt den nächsten. Rechtsklick für mehr.</translation>
    </message>
    <message>
        <source>Look %1</source>
        <translation>Look %1</translation>
    </message>
    <message>
        <source>shown</source>
        <translation>gezeigt</translation>
    </message>
    <message>
        <source>Cues, faders or ripples lie over look %1: let go of them to see it.</source>
        <translation>Cues, Fader oder Wellen liegen über Look %1: Sie loslassen, um ihn zu sehen.</translation>
    </message>
    <message>
        <source>under what plays</source>
        <translation>unter dem, was spielt</translation>
    </message>
</context>
<context>
    <name>zelo::desk::MainWindow</name>
    <message>
        <source>Zelochrome</source>
        <translation>Zelochrome</translation>
    </message>
    <message>
        <source>Gradient</source>
        <translation>Verlauf</translation>
    </message>
    <message>
        <source>Crossfade</source>
        <translation>Übergang</translation>
    </message>
    <message>
        <source>Cues</source>
        <translation>Cues</translation>
    </message>
    <message>
        <source>Ripple</source>
        <translation>Welle</translation>
    </message>
    <message>
        <source>A measured light</source>
        <translation>Ein gemessenes Licht</translation>
    </message>
    <message>
        <source>Spectra (*.csv *.sp *.txt *.spdx)</source>
        <translation>Spektren (*.csv *.sp *.txt *.spdx)</translation>
    </message>
    <message>
        <source>No light in the lineup: nothing to look for.</source>
        <translation>Kein Licht in der Lampenreihe: nichts zu suchen.</translation>
    </message>
    <message>
        <source>%1 %2	Δu′v′ %3</source>
        <translation>%1 %2	Δu′v′ %3</translation>
    </message>
    <message>
        <source>%1 %2	spectrum %3 % off</source>
        <translation>%1 %2	Spektrum %3 % daneben</translation>
    </message>
    <message>
        <source>Which gel is this?</source>
        <translation>Welche Folie ist das?</translation>
    </message>
    <message>
        <source>Nearest in colour</source>
        <translation>Nächste in der Farbe</translation>
    </message>
    <message>
        <source>Nearest in spectrum</source>
        <translation>Nächste im Spektrum</translation>
    </message>
    <message>
        <source>History of edits</source>
        <translation>Verlauf der Änderungen</translation>
    </message>
    <message>
        <source>As opened</source>
        <translation>Wie geöffnet</translation>
    </message>
    <message>
        <source>%1	now</source>
        <translation>%1	jetzt</translation>
    </message>
    <message>
        <source>A report holds the log, the version and facts of this computer. May the show go into it too?</source>
        <translation>Ein Bericht enthält das Protokoll, die Version und Angaben zu diesem Rechner. Darf die Show auch hinein?</translation>
    </message>
    <message>
        <source>With the show</source>
        <translation>Mit der Show</translation>
    </message>
    <message>
        <source>Without it</source>
        <translation>Ohne sie</translation>
    </message>
    <message>
        <source>No report</source>
        <translation>Kein Bericht</translation>
    </message>
    <message>
        <source>Save a report</source>
        <translation>Einen Bericht sichern</translation>
    </message>
    <message>
        <source>Reports (*.zip)</source>
        <translation>Berichte (*.zip)</translation>
    </message>
    <message>
        <source>Writing the report</source>
        <translation>Schreibt den Bericht</translation>
    </message>
    <message>
        <source>The report is at %1.</source>
        <translation>Der Bericht liegt in %1.</translation>
    </message>
    <message>
        <source>Reading %1</source>
        <translation>Liest %1</translation>
    </message>
    <message>
        <source>Read %1 from %2</source>
        <translation>%1 aus %2 gelesen</translation>
    </message>
    <message>
        <source>%1. %2</source>
        <translation>%1. %2</translation>
    </message>
    <message>
        <source>Writing %1</source>
        <translation>Schreibt %1</translation>
    </message>
    <message>
        <source>Written: %1</source>
        <translation>Geschrieben: %1</translation>
    </message>
    <message>
        <source>%1; colours are shown as sRGB</source>
        <translation>%1; Farben werden als sRGB gezeigt</translation>
    </message>
    <message>
        <source>Nothing to explain under the pointer: move it over a control.</source>
        <translation>Unter dem Zeiger ist nichts zu erklären: ihn über ein Bedienelement führen.</translation>
    </message>
    <message>
        <source>type its value: Enter takes it, Esc does not</source>
        <translation>seinen Wert tippen: Enter nimmt ihn, Esc nicht</translation>
    </message>
    <message>
        <source>figures</source>
        <translation>Ziffern</translation>
    </message>
    <message>
        <source>change it; Shift fine, Ctrl coarse</source>
        <translation>ändern; Umschalt fein, Strg grob</translation>
    </message>
    <message>
        <source>arrows, wheel, drag</source>
        <translation>Pfeile, Rad, Ziehen</translation>
    </message>
    <message>
        <source>least, most</source>
        <translation>kleinster, größter</translation>
    </message>
    <message>
        <source>Home, End</source>
        <translation>Pos1, Ende</translation>
    </message>
    <message>
        <source>back to its default</source>
        <translation>zurück zum Ausgangswert</translation>
    </message>
    <message>
        <source>Backspace</source>
        <translation>Rücktaste</translation>
    </message>
    <message>
        <source>back to its default, with the mouse</source>
        <translation>zurück zum Ausgangswert, mit der Maus</translation>
    </message>
    <message>
        <source>double-click</source>
        <translation>Doppelklick</translation>
    </message>
    <message>
        <source>an emitter: pin it, keep it out</source>
        <translation>ein Emitter: festhalten, auslassen</translation>
    </message>
    <message>
        <source>P, X</source>
        <translation>P, X</translation>
    </message>
    <message>
        <source>a cell of a table: type over it, or edit it</source>
        <translation>eine Zelle einer Tabelle: überschreiben oder bearbeiten</translation>
    </message>
    <message>
        <source>signs, Enter</source>
        <translation>Zeichen, Enter</translation>
    </message>
    <message>
        <source>a colour of the swatch book: mark it as favourite</source>
        <translation>eine Farbe des Farbbuchs: als Favorit merken</translation>
    </message>
    <message>
        <source>B</source>
        <translation>B</translation>
    </message>
    <message>
        <source>New show</source>
        <translation>Neue Show</translation>
    </message>
    <message>
        <source>Open a show…</source>
        <translation>Show öffnen …</translation>
    </message>
    <message>
        <source>Recent shows…</source>
        <translation>Letzte Shows …</translation>
    </message>
    <message>
        <source>Start from a template…</source>
        <translation>Mit einer Vorlage beginnen …</translation>
    </message>
    <message>
        <source>Save</source>
        <translation>Sichern</translation>
    </message>
    <message>
        <source>Save as…</source>
        <translation>Sichern als …</translation>
    </message>
    <message>
        <source>Save a copy…</source>
        <translation>Eine Kopie sichern …</translation>
    </message>
    <message>
        <source>Unsaved work left behind…</source>
        <translation>Liegengebliebene Arbeit …</translation>
    </message>
    <message>
        <source>Read a rig (MVR)…</source>
        <translation>Eine Anlage lesen (MVR) …</translation>
    </message>
    <message>
        <source>Read a rig</source>
        <translation>Eine Anlage lesen</translation>
    </message>
    <message>
        <source>Rigs (*.mvr)</source>
        <translation>Anlagen (*.mvr)</translation>
    </message>
    <message>
        <source>Write the rig (MVR)…</source>
        <translation>Die Anlage schreiben (MVR) …</translation>
    </message>
    <message>
        <source>Write the rig</source>
        <translation>Die Anlage schreiben</translation>
    </message>
    <message>
        <source>Close the show</source>
        <translation>Die Show schließen</translation>
    </message>
    <message>
        <source>Quit</source>
        <translation>Beenden</translation>
    </message>
    <message>
        <source>Undo</source>
        <translation>Rückgängig</translation>
    </message>
    <message>
        <source>Redo</source>
        <translation>Wiederholen</translation>
    </message>
    <message>
        <source>History of edits…</source>
        <translation>Verlauf der Änderungen …</translation>
    </message>
    <message>
        <source>Put down what is in hand</source>
        <translation>Ablegen, was in der Hand ist</translation>
    </message>
    <message>
        <source>Keep as…</source>
        <translation>Behalten als …</translation>
    </message>
    <message>
        <source>Rig</source>
        <translation>Anlage</translation>
    </message>
    <message>
        <source>Match</source>
        <translation>Abgleich</translation>
    </message>
    <message>
        <source>View %1</source>
        <translation>Ansicht %1</translation>
    </message>
    <message>
        <source>with Ctrl also from a text field</source>
        <translation>mit Strg auch aus einem Textfeld</translation>
    </message>
    <message>
        <source>Dark or light theme</source>
        <translation>Dunkle oder helle Oberfläche</translation>
    </message>
    <message>
        <source>Whole screen</source>
        <translation>Ganzer Bildschirm</translation>
    </message>
    <message>
        <source>Split field over the whole window</source>
        <translation>Teilfeld über das ganze Fenster</translation>
    </message>
    <message>
        <source>Split field in a window of its own</source>
        <translation>Teilfeld in einem eigenen Fenster</translation>
    </message>
    <message>
        <source>Readings in full</source>
        <translation>Ablesungen ganz</translation>
    </message>
    <message>
        <source>Dark: all light out, or back</source>
        <translation>Dunkel: alles Licht aus, oder zurück</translation>
    </message>
    <message>
        <source>Rehearsal or On stage</source>
        <translation>Probe oder Auf der Bühne</translation>
    </message>
    <message>
        <source>Menu of the show</source>
        <translation>Menü der Show</translation>
    </message>
    <message>
        <source>Menu of the show, too</source>
        <translation>Menü der Show, auch</translation>
    </message>
    <message>
        <source>Alt alone</source>
        <translation>Alt allein</translation>
    </message>
    <message>
        <source>Choose lamps</source>
        <translation>Lampen wählen</translation>
    </message>
    <message>
        <source>All lamps into the lineup</source>
        <translation>Alle Lampen in die Reihe</translation>
    </message>
    <message>
        <source>Groups</source>
        <translation>Gruppen</translation>
    </message>
    <message>
        <source>Group from the lineup</source>
        <translation>Gruppe aus der Lampenreihe</translation>
    </message>
    <message>
        <source>Looks</source>
        <translation>Looks</translation>
    </message>
    <message>
        <source>Reverse the lineup</source>
        <translation>Die Lampenreihe umkehren</translation>
    </message>
    <message>
        <source>Lineup from the middle</source>
        <translation>Lampenreihe von der Mitte</translation>
    </message>
    <message>
        <source>Shuffle the lineup</source>
        <translation>Die Lampenreihe würfeln</translation>
    </message>
    <message>
        <source>with the keyboard there: the lamp in focus</source>
        <translation>mit der Tastatur dort: die Lampe im Blick</translation>
    </message>
    <message>
        <source>moves that lamp in the order</source>
        <translation>verschiebt diese Lampe in der Reihenfolge</translation>
    </message>
    <message>
        <source>Ctrl+← →</source>
        <translation>Strg+← →</translation>
    </message>
    <message>
        <source>Search the swatch book</source>
        <translation>Das Farbbuch durchsuchen</translation>
    </message>
    <message>
        <source>The colour tried before</source>
        <translation>Die Farbe, die davor versucht wurde</translation>
    </message>
    <message>
        <source>The colour tried after</source>
        <translation>Die Farbe, die danach versucht wurde</translation>
    </message>
    <message>
        <source>Level all types to the weakest</source>
        <translation>Alle Typen auf den schwächsten angleichen</translation>
    </message>
    <message>
        <source>The nearest colour that all types can show</source>
        <translation>Die nächste Farbe, die alle Typen zeigen können</translation>
    </message>
    <message>
        <source>Calibrate the first lamp of the lineup</source>
        <translation>Die erste Lampe der Reihe kalibrieren</translation>
    </message>
    <message>
        <source>Add lamps to the rig</source>
        <translation>Der Anlage Lampen hinzufügen</translation>
    </message>
    <message>
        <source>Remove the chosen lamps</source>
        <translation>Die gewählten Lampen entfernen</translation>
    </message>
    <message>
        <source>Copy the patch for a spreadsheet</source>
        <translation>Den Patch für eine Tabelle kopieren</translation>
    </message>
    <message>
        <source>Paste lamps from a spreadsheet</source>
        <translation>Lampen aus einer Tabelle einfügen</translation>
    </message>
    <message>
        <source>Home values of the chosen lamps…</source>
        <translation>Ruhewerte der gewählten Lampen …</translation>
    </message>
    <message>
        <source>Move what clashes to free slots</source>
        <translation>Was sich überschneidet, auf freie Plätze rücken</translation>
    </message>
    <message>
        <source>Find fixtures on the network</source>
        <translation>Geräte im Netz finden</translation>
    </message>
    <message>
        <source>Fixture types</source>
        <translation>Gerätetypen</translation>
    </message>
    <message>
        <source>Output map</source>
        <translation>Ausgabekarte</translation>
    </message>
    <message>
        <source>Light check: why is it dark?</source>
        <translation>Lichtprüfung: warum ist sie dunkel?</translation>
    </message>
    <message>
        <source>All lamps in view</source>
        <translation>Alle Lampen ins Bild</translation>
    </message>
    <message>
        <source>Align the chosen lamps in a row</source>
        <translation>Die gewählten Lampen in eine Reihe stellen</translation>
    </message>
    <message>
        <source>Spread them evenly</source>
        <translation>Sie gleichmäßig verteilen</translation>
    </message>
    <message>
        <source>Turn them left</source>
        <translation>Sie nach links drehen</translation>
    </message>
    <message>
        <source>Turn them right</source>
        <translation>Sie nach rechts drehen</translation>
    </message>
    <message>
        <source>Pan their beams left</source>
        <translation>Ihre Strahlen nach links schwenken</translation>
    </message>
    <message>
        <source>Pan their beams right</source>
        <translation>Ihre Strahlen nach rechts schwenken</translation>
    </message>
    <message>
        <source>on the plan: moves the chosen lamps, Shift finely</source>
        <translation>auf dem Plan: bewegt die gewählten Lampen, Umschalt fein</translation>
    </message>
    <message>
        <source>arrows</source>
        <translation>Pfeile</translation>
    </message>
    <message>
        <source>on the plan: moves the paper</source>
        <translation>auf dem Plan: bewegt das Papier</translation>
    </message>
    <message>
        <source>Alt+arrows</source>
        <translation>Alt+Pfeile</translation>
    </message>
    <message>
        <source>on the plan: nearer, farther</source>
        <translation>auf dem Plan: näher, ferner</translation>
    </message>
    <message>
        <source>+ −</source>
        <translation>+ −</translation>
    </message>
    <message>
        <source>Explain what is under the pointer</source>
        <translation>Erklären, was unter dem Zeiger ist</translation>
    </message>
    <message>
        <source>Keys and commands</source>
        <translation>Tasten und Befehle</translation>
    </message>
    <message>
        <source>Find a command…</source>
        <translation>Einen Befehl finden …</translation>
    </message>
    <message>
        <source>Save a report for help…</source>
        <translation>Einen Bericht für Hilfe sichern …</translation>
    </message>
    <message>
        <source>Where the log is</source>
        <translation>Wo das Protokoll ist</translation>
    </message>
    <message>
        <source>The log is in %1</source>
        <translation>Das Protokoll ist in %1</translation>
    </message>
    <message>
        <source>About Zelochrome</source>
        <translation>Über Zelochrome</translation>
    </message>
    <message>
        <source>Undo: %1</source>
        <translation>Rückgängig: %1</translation>
    </message>
    <message>
        <source>Redo: %1</source>
        <translation>Wiederholen: %1</translation>
    </message>
    <message>
        <source>Zelochrome %1</source>
        <translation>Zelochrome %1</translation>
    </message>
    <message>
        <source>Colour for multi-emitter LED fixtures: match, spread, fade, play.
Free software under the GNU General Public License, version 3 or later.
Built on Qt %1. %2</source>
        <translation>Farbe für Scheinwerfer mit vielen Emittern: abgleichen, verteilen, blenden, spielen.
Freie Software unter der GNU General Public License, Version 3 oder später.
Gebaut mit Qt %1. %2</translation>
    </message>
    <message>
        <source>Close</source>
        <translation>Schließen</translation>
    </message>
    <message>
        <source>on the plan: to another lamp; Enter chooses it, Shift+Enter adds it</source>
        <translation>auf dem Plan: zu einer anderen Lampe; Enter wählt sie, Umschalt+Enter fügt sie hinzu</translation>
    </message>
    <message>
        <source>Ctrl+arrows</source>
        <translation>Strg+Pfeile</translation>
    </message>
    <message>
        <source>Gradient from the first lamp to the last, as they are now</source>
        <translation>Verlauf von der ersten Lampe zur letzten, wie sie jetzt sind</translation>
    </message>
    <message>
        <source>Keep the gradient as…</source>
        <translation>Den Verlauf behalten als …</translation>
    </message>
    <message>
        <source>Lay the gradient over the lineup</source>
        <translation>Den Verlauf über die Lampenreihe legen</translation>
    </message>
    <message>
        <source>Fixed colours instead of a gradient</source>
        <translation>Feste Farben statt eines Verlaufs</translation>
    </message>
    <message>
        <source>Pull the stops into reach of all</source>
        <translation>Stopps in aller Reichweite ziehen</translation>
    </message>
    <message>
        <source>To the stops of the gradient</source>
        <translation>Zu den Stopps des Verlaufs</translation>
    </message>
    <message>
        <source>in Gradient: hold it to see what levels alone would make</source>
        <translation>im Verlauf: halten zeigt, was Pegel allein machen</translation>
    </message>
    <message>
        <source>on the stops: choose; with Ctrl move, Shift finely</source>
        <translation>auf den Stopps: wählen; mit Strg bewegen, Umschalt fein</translation>
    </message>
    <message>
        <source>on the stops: add, remove, evenly between its neighbours</source>
        <translation>auf den Stopps: setzen, entfernen, gleichmäßig zwischen die Nachbarn</translation>
    </message>
    <message>
        <source>Ins, Del, Backspace</source>
        <translation>Einfg, Entf, Rücktaste</translation>
    </message>
    <message>
        <source>on the stops: to those of intensity, and back; with Ctrl brighter, darker</source>
        <translation>auf den Stopps: zu denen der Intensität und zurück; mit Strg heller, dunkler</translation>
    </message>
    <message>
        <source>on the map of ways: a point on the way; to the next; away with it</source>
        <translation>auf der Karte der Wege: ein Punkt auf den Weg; zum nächsten; weg damit</translation>
    </message>
    <message>
        <source>Ins, Page Down, Del</source>
        <translation>Einfg, Bild ab, Entf</translation>
    </message>
    <message>
        <source>Time in hand: in which changes by hand fade</source>
        <translation>Zeit in der Hand: in der Änderungen von Hand blenden</translation>
    </message>
    <message>
        <source>intensity of all by one ratio, Shift fine, Ctrl coarse</source>
        <translation>Intensität aller im selben Verhältnis, Umschalt fein, Strg grob</translation>
    </message>
    <message>
        <source>lets go of that lamp&apos;s trim</source>
        <translation>lässt den Abgleich dieser Lampe los</translation>
    </message>
    <message>
        <source>Let go of all trims of the lineup</source>
        <translation>Alle Abgleiche der Lampenreihe loslassen</translation>
    </message>
    <message>
        <source>Nothing is trimmed in the lineup.</source>
        <translation>In der Lampenreihe ist nichts abgeglichen.</translation>
    </message>
    <message>
        <source>Solo: only the lineup shows, or all again</source>
        <translation>Solo: nur die Lampenreihe leuchtet, oder wieder alle</translation>
    </message>
    <message>
        <source>%1, finely</source>
        <translation>%1, fein</translation>
    </message>
    <message>
        <source>Warmer</source>
        <translation>Wärmer</translation>
    </message>
    <message>
        <source>Cooler</source>
        <translation>Kühler</translation>
    </message>
    <message>
        <source>Greener</source>
        <translation>Grüner</translation>
    </message>
    <message>
        <source>Pinker</source>
        <translation>Rosiger</translation>
    </message>
    <message>
        <source>Paler</source>
        <translation>Blasser</translation>
    </message>
    <message>
        <source>Deeper</source>
        <translation>Tiefer</translation>
    </message>
    <message>
        <source>House light, or not: solo, Dark and master leave the chosen lamps alone</source>
        <translation>Saallicht oder nicht: Solo, Dunkel und Master lassen die gewählten Lampen in Ruhe</translation>
    </message>
    <message>
        <source>No way to keep yet: choose two colours.</source>
        <translation>Noch kein Weg zu behalten: wähle zwei Farben.</translation>
    </message>
    <message>
        <source>Keep the way</source>
        <translation>Den Weg behalten</translation>
    </message>
    <message>
        <source>The name under which the way is kept</source>
        <translation>Der Name, unter dem der Weg behalten wird</translation>
    </message>
    <message>
        <source>Play the crossfade, or stop it</source>
        <translation>Den Übergang spielen oder anhalten</translation>
    </message>
    <message>
        <source>Crossfade from: choose it</source>
        <translation>Übergang von: wählen</translation>
    </message>
    <message>
        <source>Crossfade to: choose it</source>
        <translation>Übergang nach: wählen</translation>
    </message>
    <message>
        <source>Turn the crossfade round</source>
        <translation>Übergang umdrehen</translation>
    </message>
    <message>
        <source>To the line of the crossfade&apos;s moment</source>
        <translation>Zur Linie des Moments des Übergangs</translation>
    </message>
    <message>
        <source>Keep the way of the crossfade as…</source>
        <translation>Den Weg des Übergangs behalten als…</translation>
    </message>
    <message>
        <source>in Crossfade: the moment; Shift finely; to its ends</source>
        <translation>in Übergang: der Moment; Umschalt fein; an die Enden</translation>
    </message>
    <message>
        <source>← →, Home, End</source>
        <translation>← →, Pos1, Ende</translation>
    </message>
    <message>
        <source>in Crossfade: the saturation floor</source>
        <translation>in Übergang: der Sättigungsboden</translation>
    </message>
    <message>
        <source>Next cue</source>
        <translation>Nächster Cue</translation>
    </message>
    <message>
        <source>Back by a cue</source>
        <translation>Einen Cue zurück</translation>
    </message>
    <message>
        <source>Hold what runs, or let it go on</source>
        <translation>Anhalten, was läuft, oder weitergehen lassen</translation>
    </message>
    <message>
        <source>Go to the cue with the keyboard</source>
        <translation>Zum Cue mit der Tastatur gehen</translation>
    </message>
    <message>
        <source>Keep as a cue</source>
        <translation>Als Cue behalten</translation>
    </message>
    <message>
        <source>Remove the chosen cues</source>
        <translation>Die gewählten Cues entfernen</translation>
    </message>
    <message>
        <source>Copy cues, also for a spreadsheet</source>
        <translation>Cues kopieren, auch für eine Tabelle</translation>
    </message>
    <message>
        <source>Paste cues, also from a spreadsheet</source>
        <translation>Cues einfügen, auch aus einer Tabelle</translation>
    </message>
    <message>
        <source>Find a cue</source>
        <translation>Einen Cue finden</translation>
    </message>
    <message>
        <source>Cue lists: new, rename, at the end…</source>
        <translation>Cuelisten: neu, umbenennen, am Ende…</translation>
    </message>
    <message>
        <source>Fades to look at, with their cures</source>
        <translation>Übergänge zum Ansehen, mit Mitteln dagegen</translation>
    </message>
    <message>
        <source>Let go of the cue list</source>
        <translation>Die Cueliste loslassen</translation>
    </message>
    <message>
        <source>Stage picture in a window of its own</source>
        <translation>Bühnenbild in eigenem Fenster</translation>
    </message>
    <message>
        <source>in the list: types over a cell; moves the cue</source>
        <translation>in der Liste: eine Zelle überschreiben; den Cue verschieben</translation>
    </message>
    <message>
        <source>Enter or a text, Ctrl+↑ ↓</source>
        <translation>Enter oder Text, Strg+↑ ↓</translation>
    </message>
    <message>
        <source>in Cues: eight faders at full while held</source>
        <translation>in Cues: acht Fader ganz auf, solange gedrückt</translation>
    </message>
    <message>
        <source>on the stage picture: moves a figure; another one</source>
        <translation>auf dem Bühnenbild: eine Figur bewegen; eine andere</translation>
    </message>
    <message>
        <source>arrows, Page Down</source>
        <translation>Pfeile, Bild ab</translation>
    </message>
    <message>
        <source>Half as bright</source>
        <translation>Halb so hell</translation>
    </message>
    <message>
        <source>What the first lamp shows, to all of the lineup</source>
        <translation>Was die erste Lampe zeigt, auf die ganze Lampenreihe</translation>
    </message>
    <message>
        <source>Lock the lineup: it keeps what it shows; or unlock it</source>
        <translation>Lampenreihe sperren: Sie behält, was sie zeigt; oder entsperren</translation>
    </message>
    <message>
        <source>Other channels of the lineup: shutter, zoom…</source>
        <translation>Andere Kanäle der Lampenreihe: Shutter, Zoom…</translation>
    </message>
    <message>
        <source>Put down the colours of the lineup</source>
        <translation>Farben der Lampenreihe ablegen</translation>
    </message>
    <message>
        <source>Put down the intensities of the lineup</source>
        <translation>Helligkeiten der Lampenreihe ablegen</translation>
    </message>
    <message>
        <source>Put down all of the lineup</source>
        <translation>Alles von der Lampenreihe ablegen</translation>
    </message>
    <message>
        <source>Under the ribbons: all ways, or the fade check</source>
        <translation>Unter den Bändern: alle Wege, oder die Übergangsprüfung</translation>
    </message>
    <message>
        <source>The cue&apos;s other version plays</source>
        <translation>Die andere Fassung des Cues spielt</translation>
    </message>
    <message>
        <source>Where the first lamp has it from in this cue</source>
        <translation>Woher die erste Lampe es in diesem Cue hat</translation>
    </message>
    <message>
        <source>The next look, in its own time</source>
        <translation>Der nächste Look, in seiner Zeit</translation>
    </message>
    <message>
        <source>Looks as buttons, or faders</source>
        <translation>Looks als Tasten, oder Fader</translation>
    </message>
    <message>
        <source>the same by 5 %</source>
        <translation>dasselbe um 5 %</translation>
    </message>
    <message>
        <source>Page Up, Page Down</source>
        <translation>Bild auf, Bild ab</translation>
    </message>
    <message>
        <source>Step of these nudges…</source>
        <translation>Schritt beim Rücken von Farben…</translation>
    </message>
    <message>
        <source>Nothing to keep yet: begin a ripple.</source>
        <translation>Noch nichts zu behalten: eine Welle beginnen.</translation>
    </message>
    <message>
        <source>Keep as</source>
        <translation>Behalten als</translation>
    </message>
    <message>
        <source>A gradient of these colours…</source>
        <translation>Ein Verlauf dieser Farben…</translation>
    </message>
    <message>
        <source>Keep as a gradient</source>
        <translation>Als Verlauf behalten</translation>
    </message>
    <message>
        <source>The name of the gradient</source>
        <translation>Der Name des Verlaufs</translation>
    </message>
    <message>
        <source>A look of what the lamps show…</source>
        <translation>Ein Look von dem, was die Lampen zeigen…</translation>
    </message>
    <message>
        <source>Keep as a look</source>
        <translation>Als Look behalten</translation>
    </message>
    <message>
        <source>The name of the look</source>
        <translation>Der Name des Looks</translation>
    </message>
    <message>
        <source>One turn for another desk</source>
        <translation>Ein Umlauf für ein anderes Pult</translation>
    </message>
    <message>
        <source>Cues for another desk (*.asc);;Tables (*.csv)</source>
        <translation>Cues für ein anderes Pult (*.asc);;Tabellen (*.csv)</translation>
    </message>
    <message>
        <source>Play the ripple, or let go of it</source>
        <translation>Welle abspielen oder loslassen</translation>
    </message>
    <message>
        <source>Freeze its colours, or let them go on</source>
        <translation>Ihre Farben anhalten oder weiterlaufen lassen</translation>
    </message>
    <message>
        <source>Faster</source>
        <translation>Schneller</translation>
    </message>
    <message>
        <source>Slower</source>
        <translation>Langsamer</translation>
    </message>
    <message>
        <source>Tap the beat</source>
        <translation>Takt tippen</translation>
    </message>
    <message>
        <source>To the steps of the ripple</source>
        <translation>Zu den Schritten der Welle</translation>
    </message>
    <message>
        <source>To the line of its moment</source>
        <translation>Zur Linie ihres Augenblicks</translation>
    </message>
    <message>
        <source>Another ripple</source>
        <translation>Eine andere Welle</translation>
    </message>
    <message>
        <source>Ripple from the first lamp to the last, as they are now</source>
        <translation>Welle von der ersten Lampe zur letzten, wie sie jetzt sind</translation>
    </message>
    <message>
        <source>Rainbow over the lineup</source>
        <translation>Regenbogen über die Lampenreihe</translation>
    </message>
    <message>
        <source>Lay the ripple over the lineup</source>
        <translation>Welle über die Lampenreihe legen</translation>
    </message>
    <message>
        <source>The ripple onto a fader</source>
        <translation>Die Welle auf einen Fader</translation>
    </message>
    <message>
        <source>One turn of the ripple for another desk…</source>
        <translation>Ein Umlauf der Welle für ein anderes Pult…</translation>
    </message>
    <message>
        <source>on the steps: choose; with Ctrl move; time</source>
        <translation>auf den Schritten: wählen; mit Strg versetzen; Zeit</translation>
    </message>
    <message>
        <source>on the steps: add, remove</source>
        <translation>auf den Schritten: hinzufügen, entfernen</translation>
    </message>
    <message>
        <source>Ins, Del</source>
        <translation>Einfg, Entf</translation>
    </message>
    <message>
        <source>on the line: look ahead, Shift finely; its beginning</source>
        <translation>auf der Linie: vorausschauen, Umschalt fein; ihr Anfang</translation>
    </message>
    <message>
        <source>← →, Home</source>
        <translation>← →, Pos1</translation>
    </message>
    <message>
        <source>All light as a camera shows it, or as the eye sees it</source>
        <translation>Alles Licht, wie eine Kamera es zeigt, oder wie das Auge es sieht</translation>
    </message>
    <message>
        <source>A camera from a file…</source>
        <translation>Kamera aus einer Datei…</translation>
    </message>
    <message>
        <source>Settings…</source>
        <translation>Einstellungen…</translation>
    </message>
    <message>
        <source>The manual</source>
        <translation>Das Handbuch (englisch)</translation>
    </message>
    <message>
        <source>More: %1 (F1 again, or a press here).</source>
        <translation>Mehr: %1 (noch einmal F1, oder hier drücken).</translation>
    </message>
    <message>
        <source>Print cues, palettes and patch…</source>
        <translation>Cues, Paletten und Patch drucken…</translation>
    </message>
    <message>
        <source>Cue list, large, in a window of its own</source>
        <translation>Cueliste, groß, in eigenem Fenster</translation>
    </message>
    <message>
        <source>Tour in three steps, or leave it</source>
        <translation>Rundgang in drei Schritten, oder ihn verlassen</translation>
    </message>
    <message>
        <source>MIDI and OSC…</source>
        <translation>MIDI und OSC…</translation>
    </message>
    <message>
        <source>No lamps in the lineup: the practice meter measures the first of them.</source>
        <translation>Keine Lampen in der Reihe: das Übungsgerät misst die erste davon.</translation>
    </message>
    <message>
        <source>Measuring</source>
        <translation>Es wird gemessen</translation>
    </message>
    <message>
        <source>Hold the meter into the light.</source>
        <translation>Das Messgerät ins Licht halten.</translation>
    </message>
    <message>
        <source>measured %1</source>
        <translation>gemessen %1</translation>
    </message>
    <message>
        <source>The meter sees no light.</source>
        <translation>Das Messgerät sieht kein Licht.</translation>
    </message>
    <message>
        <source>It is %1 K, tint %2, u′ %3, v′ %4.</source>
        <translation>Es sind %1 K, Stich %2, u′ %3, v′ %4.</translation>
    </message>
    <message>
        <source>It is no white: u′ %1, v′ %2.</source>
        <translation>Es ist kein Weiß: u′ %1, v′ %2.</translation>
    </message>
    <message>
        <source>What is this light? Measure it</source>
        <translation>Was ist dieses Licht? Messen</translation>
    </message>
    <message>
        <source>Measure a light, and ask for it</source>
        <translation>Ein Licht messen und danach fragen</translation>
    </message>
</context>
<context>
    <name>zelo::desk::ManualView</name>
    <message>
        <source>Manual</source>
        <translation>Handbuch</translation>
    </message>
    <message>
        <source>Type to search its pages; Esc closes</source>
        <translation>Tippen sucht in seinen Seiten; Esc schließt</translation>
    </message>
    <message>
        <source>Search the manual</source>
        <translation>Im Handbuch suchen</translation>
    </message>
    <message>
        <source>A word of a page</source>
        <translation>Ein Wort einer Seite</translation>
    </message>
    <message>
        <source>search</source>
        <translation>suchen</translation>
    </message>
    <message>
        <source>Pages</source>
        <translation>Seiten</translation>
    </message>
    <message>
        <source>Arrows in the search choose one too</source>
        <translation>Auch die Pfeile in der Suche wählen eine</translation>
    </message>
    <message>
        <source>Page of the manual</source>
        <translation>Seite des Handbuchs</translation>
    </message>
    <message>
        <source>Links lead to other pages</source>
        <translation>Verweise führen zu anderen Seiten</translation>
    </message>
    <message>
        <source>Esc closes</source>
        <translation>Esc schließt</translation>
    </message>
    <message>
        <source>The manual&apos;s pages are not there: they stand beside the program&apos;s data.</source>
        <translation>Die Seiten des Handbuchs sind nicht da: sie liegen neben den Daten des Programms.</translation>
    </message>
</context>
<context>
    <name>zelo::desk::MatchView</name>
    <message>
        <source>Lamp behind the gel</source>
        <translation>Lampe hinter der Folie</translation>
    </message>
    <message>
        <source>Colour temperature of the lamp</source>
        <translation>Farbtemperatur der Lampe</translation>
    </message>
    <message>
        <source>K</source>
        <translation>K</translation>
    </message>
    <message>
        <source>White</source>
        <translation>Weiß</translation>
    </message>
    <message>
        <source>Colour temperature</source>
        <translation>Farbtemperatur</translation>
    </message>
    <message>
        <source>Tint</source>
        <translation>Stich</translation>
    </message>
    <message>
        <source>Duv: above 0 greener, below pinker</source>
        <translation>Duv: über 0 grüner, darunter rosiger</translation>
    </message>
    <message>
        <source>Duv</source>
        <translation>Duv</translation>
    </message>
    <message>
        <source>White in mired</source>
        <translation>Weiß in Mired</translation>
    </message>
    <message>
        <source>Reciprocal colour temperature, 1e6 / K</source>
        <translation>Kehrwert der Farbtemperatur, 1e6 / K</translation>
    </message>
    <message>
        <source>mired</source>
        <translation>Mired</translation>
    </message>
    <message>
        <source>as daylight</source>
        <translation>wie Tageslicht</translation>
    </message>
    <message>
        <source>The tint of the daylight locus at this colour temperature; a double press on the tint goes back to the lamps&apos; white</source>
        <translation>Der Stich des Tageslichts bei dieser Farbtemperatur; ein Doppelklick auf den Stich geht zum Weiß der Lampen zurück</translation>
    </message>
    <message>
        <source>Light wanted</source>
        <translation>Gewünschtes Licht</translation>
    </message>
    <message>
        <source>The light wanted; dashed: the lamp before the gel</source>
        <translation>Das gewünschte Licht; gestrichelt: die Lampe vor der Folie</translation>
    </message>
    <message>
        <source>Seen by</source>
        <translation>Gesehen von</translation>
    </message>
    <message>
        <source>Eye</source>
        <translation>Auge</translation>
    </message>
    <message>
        <source>Camera</source>
        <translation>Kamera</translation>
    </message>
    <message>
        <source>White of the eye</source>
        <translation>Weiß des Auges</translation>
    </message>
    <message>
        <source>The lamp that the eye takes for white; a double press: the one behind the gels of the swatch book</source>
        <translation>Die Lampe, die das Auge für Weiß nimmt; Doppelklick: die hinter den Folien des Farbbuchs</translation>
    </message>
    <message>
        <source>Camera balance</source>
        <translation>Abgleich der Kamera</translation>
    </message>
    <message>
        <source>What the camera is balanced to</source>
        <translation>Worauf die Kamera abgeglichen ist</translation>
    </message>
    <message>
        <source>level all</source>
        <translation>alle angleichen</translation>
    </message>
    <message>
        <source>All types at the brightness of the weakest, by their intensities</source>
        <translation>Alle Typen so hell wie der schwächste, durch ihre Intensitäten</translation>
    </message>
    <message>
        <source>nearest shared colour</source>
        <translation>nächste gemeinsame</translation>
    </message>
    <message>
        <source>The nearest colour that every type of the lineup can show</source>
        <translation>Die nächste Farbe, die jeder Typ der Lampenreihe zeigen kann</translation>
    </message>
    <message>
        <source>Match</source>
        <translation>Abgleich</translation>
    </message>
    <message>
        <source>What each type gets</source>
        <translation>Was jeder Typ erhält</translation>
    </message>
    <message>
        <source>A press brings a type into focus</source>
        <translation>Ein Druck bringt einen Typ in den Blick</translation>
    </message>
    <message>
        <source>Mix, scrolled</source>
        <translation>Mischung, gerollt</translation>
    </message>
    <message>
        <source>Want</source>
        <translation>Wunsch</translation>
    </message>
    <message>
        <source>No colour yet</source>
        <translation>Noch keine Farbe</translation>
    </message>
    <message>
        <source>lets through</source>
        <translation>lässt durch</translation>
    </message>
    <message>
        <source>asked for as</source>
        <translation>verlangt als</translation>
    </message>
    <message>
        <source>beyond this screen: shown as near as it can</source>
        <translation>jenseits dieses Schirms: so nah wie möglich</translation>
    </message>
    <message>
        <source>light through the gel</source>
        <translation>Licht durch die Folie</translation>
    </message>
    <message>
        <source>light wanted</source>
        <translation>gewünschtes Licht</translation>
    </message>
    <message>
        <source>Get</source>
        <translation>Erhalt</translation>
    </message>
    <message>
        <source>miss Δu′v′</source>
        <translation>Abw. Δu′v′</translation>
    </message>
    <message>
        <source>All light as the eye sees it that takes this lamp for white, or as one of the show&apos;s cameras shows it: halves, skin and cloth, lamps, plan, stage. Charts of colours stay the eye&apos;s.</source>
        <translation>Alles Licht, wie das Auge es sieht, das diese Lampe für Weiß nimmt, oder wie eine Kamera der Schau es zeigt: Hälften, Haut und Stoff, Lampen, Plan, Bühne. Farbkarten bleiben die des Auges.</translation>
    </message>
    <message>
        <source>The camera that all is seen by: another one, its balance, a new one</source>
        <translation>Die Kamera, durch die alles gesehen wird: eine andere, ihr Abgleich, eine neue</translation>
    </message>
    <message>
        <source>Camera that all is seen by</source>
        <translation>Kamera, durch die alles gesehen wird</translation>
    </message>
    <message>
        <source>A camera to look through</source>
        <translation>Eine Kamera zum Hindurchsehen</translation>
    </message>
    <message>
        <source>%1, %2</source>
        <translation>%1, %2</translation>
    </message>
    <message>
        <source>All light is now as %1 shows it: Y goes back to the eye, its name in Match chooses another.</source>
        <translation>Alles Licht ist nun, wie %1 es zeigt: Y geht zurück zum Auge, ihr Name in der Ansicht „Abgleich“ wählt eine andere.</translation>
    </message>
</context>
<context>
    <name>zelo::desk::MessageLine</name>
    <message>
        <source>Messages</source>
        <translation>Meldungen</translation>
    </message>
    <message>
        <source>A click closes it</source>
        <translation>Ein Klick schließt sie</translation>
    </message>
    <message>
        <source>%1: %2 s. A click stops it.</source>
        <translation>%1: %2 s. Ein Klick hält an.</translation>
    </message>
</context>
<context>
    <name>zelo::desk::Meter</name>
    <message>
        <source>The meter</source>
        <translation>Das Messgerät</translation>
    </message>
    <message>
        <source>Done, go on</source>
        <translation>Getan, weiter</translation>
    </message>
    <message>
        <source>Stop</source>
        <translation>Anhalten</translation>
    </message>
</context>
<context>
    <name>zelo::desk::MixModel</name>
    <message>
        <source>Give-up</source>
        <translation>Verzicht</translation>
    </message>
    <message>
        <source>%1 held at a level</source>
        <translation>%1 auf einem Pegel gehalten</translation>
    </message>
    <message>
        <source>%1 by hand</source>
        <translation>%1 von Hand</translation>
    </message>
    <message>
        <source>Solve again</source>
        <translation>Neu lösen</translation>
    </message>
    <message>
        <source>Use %1 again</source>
        <translation>%1 wieder verwenden</translation>
    </message>
    <message>
        <source>Keep %1 out</source>
        <translation>%1 auslassen</translation>
    </message>
    <message>
        <source>Unpin %1</source>
        <translation>%1 lösen</translation>
    </message>
    <message>
        <source>Pin %1</source>
        <translation>%1 festhalten</translation>
    </message>
    <message>
        <source>warm</source>
        <translation>warm</translation>
    </message>
    <message>
        <source>green</source>
        <translation>grün</translation>
    </message>
    <message>
        <source>blue</source>
        <translation>blau</translation>
    </message>
    <message>
        <source>white</source>
        <translation>weiß</translation>
    </message>
    <message>
        <source>all</source>
        <translation>alle</translation>
    </message>
    <message>
        <source>Brightest gives no brightness up.</source>
        <translation>Hellste verzichtet auf keine Helligkeit.</translation>
    </message>
    <message>
        <source>No curve: this colour came without a spectrum to compare with.</source>
        <translation>Keine Kurve: diese Farbe kam ohne Spektrum, mit dem zu vergleichen wäre.</translation>
    </message>
    <message>
        <source>Levelling needs two types in the lineup.</source>
        <translation>Angleichen braucht zwei Typen in der Lampenreihe.</translation>
    </message>
    <message>
        <source>One of the types gives no light: nothing to level to.</source>
        <translation>Einer der Typen gibt kein Licht: nichts, worauf anzugleichen wäre.</translation>
    </message>
    <message>
        <source>Level to %1 cd</source>
        <translation>Angleichen auf %1 cd</translation>
    </message>
    <message>
        <source>A camera for Filmed</source>
        <translation>Eine Kamera für Gefilmt</translation>
    </message>
    <message>
        <source>No camera is minded: choose one.</source>
        <translation>Auf keine Kamera wird geachtet: wähle eine.</translation>
    </message>
    <message>
        <source>Filmed minds %1: “cameras” chooses another, and its balance.</source>
        <translation>Gefilmt achtet auf %1: „Kameras“ wählt eine andere und ihren Abgleich.</translation>
    </message>
</context>
<context>
    <name>zelo::desk::MixPanel</name>
    <message>
        <source>Intent</source>
        <translation>Absicht</translation>
    </message>
    <message>
        <source>Give-up</source>
        <translation>Verzicht</translation>
    </message>
    <message>
        <source>How much brightness a truer spectrum may cost</source>
        <translation>Wie viel Helligkeit ein treueres Spektrum kosten darf</translation>
    </message>
    <message>
        <source>% of the brightest</source>
        <translation>% der hellsten</translation>
    </message>
    <message>
        <source>solve again</source>
        <translation>neu lösen</translation>
    </message>
    <message>
        <source>Let go of the levels set by hand</source>
        <translation>Die von Hand gesetzten Pegel loslassen</translation>
    </message>
    <message>
        <source>families</source>
        <translation>Familien</translation>
    </message>
    <message>
        <source>Warm, green, blue and white emitters together, to see how light adds; or each alone</source>
        <translation>Warme, grüne, blaue und weiße Emitter zusammen, um zu sehen, wie Licht sich addiert; oder jeder für sich</translation>
    </message>
    <message>
        <source>hold colour</source>
        <translation>Farbe halten</translation>
    </message>
    <message>
        <source>A level that is moved is pinned there, and the others hold the colour; off: the others stay</source>
        <translation>Ein bewegter Pegel wird dort festgehalten, und die anderen halten die Farbe; aus: die anderen bleiben</translation>
    </message>
    <message>
        <source>Mix</source>
        <translation>Mischung</translation>
    </message>
    <message>
        <source>cd</source>
        <translation>cd</translation>
    </message>
    <message>
        <source>, by hand</source>
        <translation>, von Hand</translation>
    </message>
    <message>
        <source>The most light this colour can have: %1 cd</source>
        <translation>Das meiste Licht, das diese Farbe haben kann: %1 cd</translation>
    </message>
    <message>
        <source>What to favour among all mixes that show the colour: the most light, the spectrum nearest the wanted one, the best colour on skin and cloth, the least power, or that the camera sees it too</source>
        <translation>Was unter allen Mischungen der Farbe vorgeht: das meiste Licht, das Spektrum nächst dem gewünschten, die beste Farbe auf Haut und Stoff, die geringste Leistung, oder dass auch die Kamera sie sieht</translation>
    </message>
    <message>
        <source>cameras</source>
        <translation>Kameras</translation>
    </message>
    <message>
        <source>Which cameras Filmed minds, and what they are balanced to</source>
        <translation>Auf welche Kameras Gefilmt achtet und worauf sie abgeglichen sind</translation>
    </message>
</context>
<context>
    <name>zelo::desk::OutputPanel</name>
    <message>
        <source>Add a line</source>
        <translation>Eine Zeile hinzufügen</translation>
    </message>
    <message>
        <source>Universes that go somewhere of their own</source>
        <translation>Universen, die an einen eigenen Ort gehen</translation>
    </message>
    <message>
        <source>Remove it</source>
        <translation>Entfernen</translation>
    </message>
    <message>
        <source>The line with the keyboard goes</source>
        <translation>Die Zeile mit der Tastatur fällt weg</translation>
    </message>
    <message>
        <source>Output map</source>
        <translation>Ausgabekarte</translation>
    </message>
    <message>
        <source>Network</source>
        <translation>Netz</translation>
    </message>
    <message>
        <source>Which network card may be used. This computer only: nothing leaves it</source>
        <translation>Welche Netzkarte benutzt werden darf. Nur dieser Rechner: nichts verlässt ihn</translation>
    </message>
    <message>
        <source>Lines of the output map</source>
        <translation>Zeilen der Ausgabekarte</translation>
    </message>
    <message>
        <source>univ.</source>
        <translation>Univ.</translation>
    </message>
    <message>
        <source>protocol</source>
        <translation>Protokoll</translation>
    </message>
    <message>
        <source>address</source>
        <translation>Adresse</translation>
    </message>
    <message>
        <source>on</source>
        <translation>an</translation>
    </message>
    <message>
        <source>this computer only</source>
        <translation>nur dieser Rechner</translation>
    </message>
    <message>
        <source>Art-Net</source>
        <translation>Art-Net</translation>
    </message>
    <message>
        <source>E1.31</source>
        <translation>E1.31</translation>
    </message>
    <message>
        <source>“%1”: expected universes such as 1 or 1–4.</source>
        <translation>„%1“: erwartet Universen wie 1 oder 1–4.</translation>
    </message>
    <message>
        <source>“%1”: expected E1.31 or Art-Net.</source>
        <translation>„%1“: erwartet E1.31 oder Art-Net.</translation>
    </message>
    <message>
        <source>“%1”: expected a number.</source>
        <translation>„%1“: erwartet eine Zahl.</translation>
    </message>
    <message>
        <source>Output line %1</source>
        <translation>Ausgabezeile %1</translation>
    </message>
    <message>
        <source>Add an output line</source>
        <translation>Eine Ausgabezeile hinzufügen</translation>
    </message>
    <message>
        <source>Remove an output line</source>
        <translation>Eine Ausgabezeile entfernen</translation>
    </message>
    <message>
        <source>Levels will go out to the network at %1, to every fixture that listens there.</source>
        <translation>Pegel werden ins Netz bei %1 gehen, an jedes Gerät, das dort hört.</translation>
    </message>
    <message>
        <source>Go out</source>
        <translation>Hinausgehen</translation>
    </message>
    <message>
        <source>Stay on this computer</source>
        <translation>Auf diesem Rechner bleiben</translation>
    </message>
    <message>
        <source>Output</source>
        <translation>Ausgabe</translation>
    </message>
    <message>
        <source>network</source>
        <translation>Netz</translation>
    </message>
    <message>
        <source>universes and where they go</source>
        <translation>Universen und wohin sie gehen</translation>
    </message>
    <message>
        <source>No line: every universe goes as E1.31 to this computer, where the practice rig listens.</source>
        <translation>Keine Zeile: jedes Universum geht als E1.31 an diesen Rechner, wo die Übungsanlage hört.</translation>
    </message>
    <message>
        <source>No output: its port could not be opened.</source>
        <translation>Keine Ausgabe: ihr Port ließ sich nicht öffnen.</translation>
    </message>
    <message numerus="yes">
        <source>%n receiver(s) connected</source>
        <translation>
            <numerusform>%n Empfänger verbunden</numerusform>
            <numerusform>%n Empfänger verbunden</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <source>%1 packet(s)</source>
        <translation>
            <numerusform>%1 Paket</numerusform>
            <numerusform>%1 Pakete</numerusform>
        </translation>
    </message>
    <message>
        <source>Priority of the line</source>
        <translation>Priorität der Zeile</translation>
    </message>
    <message>
        <source>E1.31: receivers follow the highest of 0 to 200. A double press: 100</source>
        <translation>E1.31: Empfänger folgen der höchsten von 0 bis 200. Doppelt gedrückt: 100</translation>
    </message>
    <message>
        <source>universes at one moment</source>
        <translation>Universen zugleich</translation>
    </message>
    <message>
        <source>E1.31 synchronisation: receivers that know it show all universes of the line together</source>
        <translation>E1.31-Synchronisation: Empfänger, die sie kennen, zeigen alle Universen der Zeile zusammen</translation>
    </message>
    <message>
        <source>Universes, protocol (E1.31 or Art-Net), IPv4 address or multicast, the first universe there, on or off; Enter edits</source>
        <translation>Universen, Protokoll (E1.31 oder Art-Net), IPv4-Adresse oder multicast, das erste Universum dort, an oder aus; Enter ändert</translation>
    </message>
    <message>
        <source>priority of the line</source>
        <translation>Priorität der Zeile</translation>
    </message>
    <message>
        <source>as</source>
        <translation>als</translation>
    </message>
</context>
<context>
    <name>zelo::desk::PatchModel</name>
    <message numerus="yes">
        <source>overlaps %1 by %n slot(s)</source>
        <translation>
            <numerusform>überschneidet %1 um %n Platz</numerusform>
            <numerusform>überschneidet %1 um %n Plätze</numerusform>
        </translation>
    </message>
    <message>
        <source>runs past slot 512</source>
        <translation>geht über Platz 512 hinaus</translation>
    </message>
    <message>
        <source>%1, not in the library</source>
        <translation>%1, nicht in der Bibliothek</translation>
    </message>
    <message>
        <source>no</source>
        <translation>Nr.</translation>
    </message>
    <message>
        <source>label</source>
        <translation>Aufschrift</translation>
    </message>
    <message>
        <source>type</source>
        <translation>Typ</translation>
    </message>
    <message>
        <source>mode</source>
        <translation>Modus</translation>
    </message>
    <message>
        <source>univ.</source>
        <translation>Univ.</translation>
    </message>
    <message>
        <source>address</source>
        <translation>Adresse</translation>
    </message>
    <message>
        <source>height m</source>
        <translation>Höhe m</translation>
    </message>
    <message>
        <source>group</source>
        <translation>Gruppe</translation>
    </message>
    <message>
        <source>note</source>
        <translation>Notiz</translation>
    </message>
    <message>
        <source>Number</source>
        <translation>Nummer</translation>
    </message>
    <message>
        <source>Label</source>
        <translation>Aufschrift</translation>
    </message>
    <message>
        <source>Mode</source>
        <translation>Modus</translation>
    </message>
    <message>
        <source>Universe</source>
        <translation>Universum</translation>
    </message>
    <message>
        <source>Address</source>
        <translation>Adresse</translation>
    </message>
    <message>
        <source>Height</source>
        <translation>Höhe</translation>
    </message>
    <message>
        <source>Note</source>
        <translation>Notiz</translation>
    </message>
    <message>
        <source>%1 of %2</source>
        <translation>%1 von %2</translation>
    </message>
    <message>
        <source>There is no room for all that clash.</source>
        <translation>Es ist nicht für alle Platz, die sich überschneiden.</translation>
    </message>
    <message>
        <source>Move %1 to free slots</source>
        <translation>%1 auf freie Plätze rücken</translation>
    </message>
    <message>
        <source>house light</source>
        <translation>Saallicht</translation>
    </message>
    <message>
        <source>Stage light: %1</source>
        <translation>Bühnenlicht: %1</translation>
    </message>
    <message>
        <source>House light: %1</source>
        <translation>Saallicht: %1</translation>
    </message>
    <message>
        <source>%1. Solo, Dark and the master act on them again.</source>
        <translation>%1. Solo, Dunkel und Master wirken wieder darauf.</translation>
    </message>
    <message>
        <source>%1. Solo, Dark and the master leave them alone.</source>
        <translation>%1. Solo, Dunkel und Master lassen sie in Ruhe.</translation>
    </message>
</context>
<context>
    <name>zelo::desk::PatternTiles</name>
    <message>
        <source>Pattern</source>
        <translation>Muster</translation>
    </message>
    <message>
        <source>Cycle: all lamps go through the steps, each later than the one before. March: the next colour enters lamp by lamp, and stays. Pulse: an accent passes over the first colour. ← → choose</source>
        <translation>Kreis: Alle Lampen gehen durch die Schritte, jede später als die davor. Marsch: Die nächste Farbe kommt Lampe um Lampe herein und bleibt. Puls: Ein Akzent zieht über die erste Farbe. ← → wählen</translation>
    </message>
    <message>
        <source>Cycle</source>
        <translation>Kreis</translation>
    </message>
    <message>
        <source>March</source>
        <translation>Marsch</translation>
    </message>
    <message>
        <source>Pulse</source>
        <translation>Puls</translation>
    </message>
    <message>
        <source>colours run along the lineup</source>
        <translation>Farben laufen durch die Lampenreihe</translation>
    </message>
    <message>
        <source>one lamp after another</source>
        <translation>eine Lampe nach der anderen</translation>
    </message>
    <message>
        <source>an accent passes</source>
        <translation>ein Akzent zieht vorbei</translation>
    </message>
    <message>
        <source>Pattern %1</source>
        <translation>Muster %1</translation>
    </message>
</context>
<context>
    <name>zelo::desk::Plan</name>
    <message>
        <source>Plan</source>
        <translation>Plan</translation>
    </message>
    <message>
        <source>Lamps where they hang: press or sweep to choose (Shift adds, Ctrl toggles), drag to move, wheel to zoom, Alt and drag to move the paper</source>
        <translation>Lampen, wo sie hängen: drücken oder aufziehen wählt (Umschalt fügt hinzu, Strg schaltet um), ziehen bewegt, das Rad zoomt, Alt und ziehen bewegt das Papier</translation>
    </message>
    <message>
        <source>No lamps yet: Add lamps… puts the first ones here.</source>
        <translation>Noch keine Lampen: „Lampen hinzufügen …“ setzt die ersten hierher.</translation>
    </message>
    <message>
        <source>No lamp lights “%1”.</source>
        <translation>Keine Lampe beleuchtet „%1“.</translation>
    </message>
    <message>
        <source>Align %1</source>
        <translation>%1 ausrichten</translation>
    </message>
    <message>
        <source>Spread %1 evenly</source>
        <translation>%1 gleichmäßig verteilen</translation>
    </message>
    <message>
        <source>Turn %1</source>
        <translation>%1 drehen</translation>
    </message>
    <message>
        <source>Pan %1</source>
        <translation>%1 schwenken</translation>
    </message>
    <message>
        <source>Move %1</source>
        <translation>%1 bewegen</translation>
    </message>
    <message>
        <source>Lamp %1</source>
        <translation>Lampe %1</translation>
    </message>
    <message>
        <source>%1 m across, %2 m upstage</source>
        <translation>%1 m seitlich, %2 m nach hinten</translation>
    </message>
</context>
<context>
    <name>zelo::desk::RasterPlot</name>
    <message>
        <source>Raster of the ripple</source>
        <translation>Raster der Welle</translation>
    </message>
    <message>
        <source>Lamps down, time across. Drag the line to look ahead; ← → in steps, Shift fine, Ctrl coarse, Home its beginning; Esc lets go</source>
        <translation>Lampen nach unten, Zeit nach rechts. Linie ziehen: vorausschauen; ← → in Schritten, Umschalt fein, Strg grob, Pos1 ihr Anfang; Esc lässt los</translation>
    </message>
    <message>
        <source>%1 s</source>
        <translation>%1 s</translation>
    </message>
    <message>
        <source>lamps down, time across</source>
        <translation>Lampen nach unten, Zeit nach rechts</translation>
    </message>
    <message>
        <source>what lies below</source>
        <translation>was darunter liegt</translation>
    </message>
    <message>
        <source>no light</source>
        <translation>kein Licht</translation>
    </message>
    <message>
        <source>Lamp %1 at %2 s: %3</source>
        <translation>Lampe %1 bei %2 s: %3</translation>
    </message>
    <message>
        <source>Line for now</source>
        <translation>Linie für jetzt</translation>
    </message>
</context>
<context>
    <name>zelo::desk::ReachMap</name>
    <message>
        <source>Reach map</source>
        <translation>Reichweitenkarte</translation>
    </message>
    <message>
        <source>All colours the type in focus can make, in u′ v′. Cross: wanted. Ring: got. Dots: the other types. The black line is the white of lamps, dotted beside it that of daylight. Press or drag picks a colour; arrow keys step it, Shift finely.</source>
        <translation>Alle Farben, die der Typ im Blick machen kann, in u′ v′. Kreuz: gewünscht. Ring: erhalten. Punkte: die anderen Typen. Die schwarze Linie ist das Weiß der Lampen, gepunktet daneben das des Tageslichts. Drücken oder ziehen wählt eine Farbe; Pfeiltasten rücken sie, Umschalt fein.</translation>
    </message>
    <message>
        <source>one ring %1</source>
        <translation>ein Ring %1</translation>
    </message>
    <message>
        <source>wanted</source>
        <translation>gewünscht</translation>
    </message>
    <message>
        <source>%1 shows</source>
        <translation>%1 zeigt</translation>
    </message>
</context>
<context>
    <name>zelo::desk::ReadingsPanel</name>
    <message>
        <source>Spectrum</source>
        <translation>Spektrum</translation>
    </message>
    <message>
        <source>The emitters of the mix, stacked; the line is the light wanted</source>
        <translation>Die Emitter der Mischung, gestapelt; die Linie ist das gewünschte Licht</translation>
    </message>
    <message>
        <source>Keep</source>
        <translation>Behalten</translation>
    </message>
    <message>
        <source>Keep what is in hand</source>
        <translation>Behalten, was in der Hand ist</translation>
    </message>
    <message>
        <source>Put down</source>
        <translation>Ablegen</translation>
    </message>
    <message>
        <source>Let go of everything in hand</source>
        <translation>Alles in der Hand loslassen</translation>
    </message>
    <message>
        <source>Readings</source>
        <translation>Ablesungen</translation>
    </message>
    <message>
        <source>u′</source>
        <translation>u′</translation>
    </message>
    <message>
        <source>v′</source>
        <translation>v′</translation>
    </message>
    <message>
        <source>kelvin</source>
        <translation>Kelvin</translation>
    </message>
    <message>
        <source>tint Duv</source>
        <translation>Stich Duv</translation>
    </message>
    <message>
        <source>R_f</source>
        <translation>R_f</translation>
    </message>
    <message>
        <source>agreement</source>
        <translation>Übereinstimmung</translation>
    </message>
    <message>
        <source>SSI to wanted</source>
        <translation>SSI zum Wunsch</translation>
    </message>
    <message>
        <source>wanted %1, got %2</source>
        <translation>gewünscht %1, erhalten %2</translation>
    </message>
    <message>
        <source>Reach of %1</source>
        <translation>Reichweite von %1</translation>
    </message>
    <message>
        <source>Reach</source>
        <translation>Reichweite</translation>
    </message>
    <message>
        <source>u′ v′</source>
        <translation>u′ v′</translation>
    </message>
    <message>
        <source>wanted as line</source>
        <translation>Wunsch als Linie</translation>
    </message>
    <message>
        <source>wanted</source>
        <translation>gewünscht</translation>
    </message>
    <message>
        <source>got</source>
        <translation>erhalten</translation>
    </message>
    <message>
        <source>%1, r g</source>
        <translation>%1, r g</translation>
    </message>
</context>
<context>
    <name>zelo::desk::RemoteModel</name>
    <message>
        <source>Writing %1</source>
        <translation>%1 wird geschrieben</translation>
    </message>
    <message>
        <source>Written: %1</source>
        <translation>Geschrieben: %1</translation>
    </message>
    <message>
        <source>Reading %1</source>
        <translation>%1 wird gelesen</translation>
    </message>
    <message>
        <source>%1: %2</source>
        <translation>%1: %2</translation>
    </message>
    <message>
        <source>Controls taken from %1.</source>
        <translation>Bedientabelle aus %1 übernommen.</translation>
    </message>
    <message>
        <source>Master</source>
        <translation>Master</translation>
    </message>
    <message>
        <source>Fader %1, %2</source>
        <translation>Fader %1, %2</translation>
    </message>
    <message>
        <source>Fader %1</source>
        <translation>Fader %1</translation>
    </message>
    <message>
        <source>Emitter %1</source>
        <translation>Emitter %1</translation>
    </message>
    <message>
        <source>Next cue</source>
        <translation>Nächster Cue</translation>
    </message>
    <message>
        <source>Back by a cue</source>
        <translation>Einen Cue zurück</translation>
    </message>
    <message>
        <source>Hold</source>
        <translation>Halt</translation>
    </message>
    <message>
        <source>Dark</source>
        <translation>Dunkel</translation>
    </message>
    <message>
        <source>Intensity of the lineup</source>
        <translation>Intensität der Lampenreihe</translation>
    </message>
    <message>
        <source>Warmer, cooler</source>
        <translation>Wärmer, kühler</translation>
    </message>
    <message>
        <source>Greener, pinker</source>
        <translation>Grüner, rosiger</translation>
    </message>
    <message>
        <source>Deeper, paler</source>
        <translation>Tiefer, blasser</translation>
    </message>
    <message>
        <source>%1: bend, channel %2</source>
        <translation>%1: Tonhöhe, Kanal %2</translation>
    </message>
    <message>
        <source>%1: note %2, channel %3</source>
        <translation>%1: Note %2, Kanal %3</translation>
    </message>
    <message>
        <source>%1: controller %2, channel %3</source>
        <translation>%1: Regler %2, Kanal %3</translation>
    </message>
    <message>
        <source>not listening</source>
        <translation>hört nicht</translation>
    </message>
    <message>
        <source>listening on the network, port %1</source>
        <translation>hört im Netz, Port %1</translation>
    </message>
    <message>
        <source>listening on this computer, port %1</source>
        <translation>hört auf diesem Rechner, Port %1</translation>
    </message>
    <message>
        <source>%1: %2.</source>
        <translation>%1: %2.</translation>
    </message>
    <message>
        <source>%1 stands at %2 %: move its fader past that.</source>
        <translation>%1 steht auf %2 %: den Fader daran vorbeiführen.</translation>
    </message>
</context>
<context>
    <name>zelo::desk::RemotePage</name>
    <message>
        <source>OSC listens</source>
        <translation>OSC hört</translation>
    </message>
    <message>
        <source>Whether this program hears OSC, and from where. On the network anybody there can move what is on this page.</source>
        <translation>Ob dieses Programm OSC hört, und von wo. Im Netz kann jeder dort bewegen, was auf dieser Seite steht.</translation>
    </message>
    <message>
        <source>nowhere</source>
        <translation>nirgends</translation>
    </message>
    <message>
        <source>this computer</source>
        <translation>dieser Rechner</translation>
    </message>
    <message>
        <source>network</source>
        <translation>Netz</translation>
    </message>
    <message>
        <source>Port of OSC</source>
        <translation>Port von OSC</translation>
    </message>
    <message>
        <source>To which OSC is sent</source>
        <translation>An den OSC gesendet wird</translation>
    </message>
    <message>
        <source>Learn</source>
        <translation>Lernen</translation>
    </message>
    <message>
        <source>Enter</source>
        <translation>Enter</translation>
    </message>
    <message>
        <source>The fader, wheel or key that is moved next does the chosen thing; pressed once more it does not</source>
        <translation>Der Fader, das Rad oder die Taste, die als Nächstes bewegt wird, tut das Gewählte; noch einmal gedrückt doch nicht</translation>
    </message>
    <message>
        <source>Forget</source>
        <translation>Vergessen</translation>
    </message>
    <message>
        <source>Del</source>
        <translation>Entf</translation>
    </message>
    <message>
        <source>Nothing moves the chosen thing any more</source>
        <translation>Nichts bewegt das Gewählte mehr</translation>
    </message>
    <message>
        <source>Into a file…</source>
        <translation>In eine Datei…</translation>
    </message>
    <message>
        <source>The table, for another computer</source>
        <translation>Die Tabelle, für einen anderen Rechner</translation>
    </message>
    <message>
        <source>From a file…</source>
        <translation>Aus einer Datei…</translation>
    </message>
    <message>
        <source>A table that was put into a file</source>
        <translation>Eine Tabelle, die in eine Datei kam</translation>
    </message>
    <message>
        <source>MIDI and OSC</source>
        <translation>MIDI und OSC</translation>
    </message>
    <message>
        <source>Faders, wheels and keys outside the program; Esc closes</source>
        <translation>Fader, Räder und Tasten außerhalb des Programms; Esc schließt</translation>
    </message>
    <message>
        <source>What can be moved from outside</source>
        <translation>Was von außen bewegt werden kann</translation>
    </message>
    <message>
        <source>Choose a line, press Enter and move a fader, wheel or key: from then on it does that. Del forgets it.</source>
        <translation>Eine Zeile wählen, Enter drücken und einen Fader, ein Rad oder eine Taste bewegen: von da an tut es das. Entf vergisst es.</translation>
    </message>
    <message>
        <source>what</source>
        <translation>was</translation>
    </message>
    <message>
        <source>moved by</source>
        <translation>bewegt von</translation>
    </message>
    <message>
        <source>stands at</source>
        <translation>steht auf</translation>
    </message>
    <message>
        <source>Controls into a file</source>
        <translation>Bedientabelle in eine Datei</translation>
    </message>
    <message>
        <source>Controls (*.json)</source>
        <translation>Bedientabellen (*.json)</translation>
    </message>
    <message>
        <source>Controls from a file</source>
        <translation>Bedientabelle aus einer Datei</translation>
    </message>
    <message>
        <source>Controls (*.json);;All files (*)</source>
        <translation>Bedientabellen (*.json);;Alle Dateien (*)</translation>
    </message>
    <message>
        <source>move it now…</source>
        <translation>jetzt bewegen…</translation>
    </message>
    <message>
        <source>%1 %, waits</source>
        <translation>%1 %, wartet</translation>
    </message>
    <message>
        <source>on</source>
        <translation>an</translation>
    </message>
    <message>
        <source>%1 %</source>
        <translation>%1 %</translation>
    </message>
    <message>
        <source>Do not learn</source>
        <translation>Nicht lernen</translation>
    </message>
    <message>
        <source>Esc closes</source>
        <translation>Esc schließt</translation>
    </message>
    <message>
        <source>MIDI</source>
        <translation>MIDI</translation>
    </message>
    <message>
        <source>this computer has none</source>
        <translation>dieser Rechner hat keines</translation>
    </message>
    <message>
        <source>no device is plugged in: they are heard as soon as they are</source>
        <translation>kein Gerät ist angesteckt: sie werden gehört, sobald sie es sind</translation>
    </message>
    <message>
        <source>OSC</source>
        <translation>OSC</translation>
    </message>
    <message>
        <source>port</source>
        <translation>Port</translation>
    </message>
</context>
<context>
    <name>zelo::desk::RigSide</name>
    <message>
        <source>Right side of Rig</source>
        <translation>Rechte Seite der Anlage</translation>
    </message>
    <message>
        <source>What stands on the right</source>
        <translation>Was rechts steht</translation>
    </message>
    <message>
        <source>Find</source>
        <translation>Finden</translation>
    </message>
    <message>
        <source>Types</source>
        <translation>Typen</translation>
    </message>
    <message>
        <source>Output</source>
        <translation>Ausgabe</translation>
    </message>
    <message>
        <source>Check</source>
        <translation>Prüfen</translation>
    </message>
    <message>
        <source>Tools of the rig</source>
        <translation>Werkzeuge der Anlage</translation>
    </message>
</context>
<context>
    <name>zelo::desk::RigView</name>
    <message>
        <source>Filter of the patch</source>
        <translation>Filter des Patchs</translation>
    </message>
    <message>
        <source>Only rows that hold these letters</source>
        <translation>Nur Zeilen, die diese Buchstaben enthalten</translation>
    </message>
    <message>
        <source>hide light</source>
        <translation>Licht aus</translation>
    </message>
    <message>
        <source>Show the light of each lamp on the plan, or not</source>
        <translation>Das Licht jeder Lampe auf dem Plan zeigen, oder nicht</translation>
    </message>
    <message>
        <source>fit</source>
        <translation>alles</translation>
    </message>
    <message>
        <source>All lamps in view</source>
        <translation>Alle Lampen ins Bild</translation>
    </message>
    <message>
        <source>Add lamps…</source>
        <translation>Lampen hinzufügen …</translation>
    </message>
    <message>
        <source>New lamps by type, mode, count and address</source>
        <translation>Neue Lampen nach Typ, Modus, Anzahl und Adresse</translation>
    </message>
    <message>
        <source>Move what clashes to free slots</source>
        <translation>Was sich überschneidet, auf freie Plätze rücken</translation>
    </message>
    <message>
        <source>Each lamp that overlaps another or runs past slot 512 goes to the next free place, in one step</source>
        <translation>Jede Lampe, die eine andere überschneidet oder über Platz 512 hinausgeht, kommt an den nächsten freien Platz, in einem Schritt</translation>
    </message>
    <message>
        <source>layers</source>
        <translation>Lagen</translation>
    </message>
    <message>
        <source>Which groups are drawn on the plan; the others are out of the way</source>
        <translation>Welche Gruppen auf dem Plan gezeichnet werden; die anderen sind aus dem Weg</translation>
    </message>
    <message>
        <source>arrange</source>
        <translation>ordnen</translation>
    </message>
    <message>
        <source>Align, spread, turn or pan the chosen lamps</source>
        <translation>Die gewählten Lampen ausrichten, verteilen, drehen oder schwenken</translation>
    </message>
    <message>
        <source>Rig</source>
        <translation>Anlage</translation>
    </message>
    <message>
        <source>show light</source>
        <translation>Licht zeigen</translation>
    </message>
    <message>
        <source>Align in a row	R</source>
        <translation>In eine Reihe	R</translation>
    </message>
    <message>
        <source>Spread evenly	E</source>
        <translation>Gleichmäßig	E</translation>
    </message>
    <message>
        <source>Turn left	[</source>
        <translation>Nach links drehen	[</translation>
    </message>
    <message>
        <source>Turn right	]</source>
        <translation>Nach rechts drehen	]</translation>
    </message>
    <message>
        <source>Pan beams left	,</source>
        <translation>Strahlen nach links	,</translation>
    </message>
    <message>
        <source>Pan beams right	.</source>
        <translation>Strahlen nach rechts	.</translation>
    </message>
    <message>
        <source>Patch</source>
        <translation>Patch</translation>
    </message>
    <message>
        <source>The patch: Enter or a double press edits a cell, for all chosen rows</source>
        <translation>Der Patch: Enter oder ein Doppelklick bearbeitet eine Zelle, für alle gewählten Zeilen</translation>
    </message>
    <message>
        <source>filter</source>
        <translation>Filter</translation>
    </message>
    <message>
        <source>No groups yet: Shift+G makes one from the lineup</source>
        <translation>Noch keine Gruppen: Umschalt+G macht eine aus der Lampenreihe</translation>
    </message>
    <message>
        <source>%1 copied, for a spreadsheet</source>
        <translation>%1 kopiert, für eine Tabelle</translation>
    </message>
    <message>
        <source>Paste %1</source>
        <translation>%1 einfügen</translation>
    </message>
    <message>
        <source>Remove %1</source>
        <translation>%1 entfernen</translation>
    </message>
    <message>
        <source>%1. Ctrl+Z brings them back.</source>
        <translation>%1. Strg+Z bringt sie zurück.</translation>
    </message>
    <message>
        <source>Add %1</source>
        <translation>%1 hinzufügen</translation>
    </message>
    <message>
        <source>Add lamps</source>
        <translation>Lampen hinzufügen</translation>
    </message>
    <message>
        <source>none</source>
        <translation>keine</translation>
    </message>
    <message>
        <source>A name makes a group of them, in the same step</source>
        <translation>Ein Name macht im selben Schritt eine Gruppe aus ihnen</translation>
    </message>
    <message>
        <source>no gap</source>
        <translation>keine Lücke</translation>
    </message>
    <message>
        <source>Type</source>
        <translation>Typ</translation>
    </message>
    <message>
        <source>Mode</source>
        <translation>Modus</translation>
    </message>
    <message>
        <source>How many</source>
        <translation>Wie viele</translation>
    </message>
    <message>
        <source>Numbers from</source>
        <translation>Nummern ab</translation>
    </message>
    <message>
        <source>Universe</source>
        <translation>Universum</translation>
    </message>
    <message>
        <source>First address</source>
        <translation>Erste Adresse</translation>
    </message>
    <message>
        <source>Slots from lamp to lamp</source>
        <translation>Plätze von Lampe zu Lampe</translation>
    </message>
    <message>
        <source>Group</source>
        <translation>Gruppe</translation>
    </message>
    <message>
        <source>Add</source>
        <translation>Hinzufügen</translation>
    </message>
    <message>
        <source>Not now</source>
        <translation>Nicht jetzt</translation>
    </message>
    <message>
        <source>Plan</source>
        <translation>Plan</translation>
    </message>
    <message>
        <source>, %1 chosen in order</source>
        <translation>, %1 der Reihe nach gewählt</translation>
    </message>
    <message>
        <source>, %1 out of sight</source>
        <translation>, %1 ausgeblendet</translation>
    </message>
</context>
<context>
    <name>zelo::desk::RippleForm</name>
    <message>
        <source>Times of the ripple</source>
        <translation>Zeiten der Welle</translation>
    </message>
    <message>
        <source>Ripple: %1</source>
        <translation>Welle: %1</translation>
    </message>
    <message>
        <source>Steps</source>
        <translation>Schritte</translation>
    </message>
    <message>
        <source>change of this one</source>
        <translation>Wechsel von diesem</translation>
    </message>
    <message>
        <source>Share of its time that goes into the change to the next; 0: hard</source>
        <translation>Anteil seiner Zeit für den Wechsel zum nächsten; 0: hart</translation>
    </message>
    <message>
        <source>%</source>
        <translation>%</translation>
    </message>
    <message>
        <source>intensity of this one</source>
        <translation>Intensität von diesem</translation>
    </message>
    <message>
        <source>Of the lamps, while they show this step</source>
        <translation>Der Lampen, solange sie diesen Schritt zeigen</translation>
    </message>
    <message>
        <source>intensities of its own</source>
        <translation>eigene Intensitäten</translation>
    </message>
    <message>
        <source>Each step has an intensity; else that stays with what lies below</source>
        <translation>Jeder Schritt hat eine Intensität; sonst bleibt sie bei dem, was darunter liegt</translation>
    </message>
    <message>
        <source>all steps as bright</source>
        <translation>alle Schritte gleich hell</translation>
    </message>
    <message>
        <source>On each type no step is brighter than the dimmest of them</source>
        <translation>Auf jedem Typ ist kein Schritt heller als der dunkelste</translation>
    </message>
    <message>
        <source>Steps as bright</source>
        <translation>Schritte gleich hell</translation>
    </message>
    <message>
        <source>Timing</source>
        <translation>Zeiten</translation>
    </message>
    <message>
        <source>one turn</source>
        <translation>ein Umlauf</translation>
    </message>
    <message>
        <source>All steps once: their times go along</source>
        <translation>Alle Schritte einmal: Ihre Zeiten gehen mit</translation>
    </message>
    <message>
        <source>s</source>
        <translation>s</translation>
    </message>
    <message>
        <source>lamp after lamp</source>
        <translation>Lampe nach Lampe</translation>
    </message>
    <message>
        <source>How much later each lamp is than the one before; 0: all together</source>
        <translation>Wie viel später jede Lampe ist als die davor; 0: alle zusammen</translation>
    </message>
    <message>
        <source>turns along the lineup</source>
        <translation>Umläufe entlang der Lampenreihe</translation>
    </message>
    <message>
        <source>So much of it lies along the lamps at a time</source>
        <translation>So viel davon liegt zugleich auf den Lampen</translation>
    </message>
    <message>
        <source>all of it along the lineup</source>
        <translation>ganz entlang der Lampenreihe</translation>
    </message>
    <message>
        <source>Lamps are as far apart as it takes; else by a time</source>
        <translation>Lampen liegen so weit auseinander, wie es braucht; sonst um eine Zeit</translation>
    </message>
    <message>
        <source>How a ripple lies along the lineup</source>
        <translation>Wie eine Welle auf der Lampenreihe liegt</translation>
    </message>
    <message>
        <source>smooth</source>
        <translation>weich</translation>
    </message>
    <message>
        <source>Share of the time that goes into changes, of all steps</source>
        <translation>Anteil der Zeit für Wechsel, aller Schritte</translation>
    </message>
    <message>
        <source>bands of</source>
        <translation>Bänder von</translation>
    </message>
    <message>
        <source>So many lamps show one colour; 0: all of them, before the next comes</source>
        <translation>So viele Lampen zeigen eine Farbe; 0: alle, bevor die nächste kommt</translation>
    </message>
    <message>
        <source>lamps</source>
        <translation>Lampen</translation>
    </message>
    <message>
        <source>pause</source>
        <translation>Pause</translation>
    </message>
    <message>
        <source>Before the next colour enters</source>
        <translation>Bevor die nächste Farbe kommt</translation>
    </message>
    <message>
        <source>accent after accent</source>
        <translation>Akzent nach Akzent</translation>
    </message>
    <message>
        <source>From one to the next; several may be on their way</source>
        <translation>Von einem zum nächsten; mehrere können unterwegs sein</translation>
    </message>
    <message>
        <source>rise</source>
        <translation>Anstieg</translation>
    </message>
    <message>
        <source>Until the accent is there</source>
        <translation>Bis der Akzent da ist</translation>
    </message>
    <message>
        <source>stay</source>
        <translation>Stand</translation>
    </message>
    <message>
        <source>As long as it stands</source>
        <translation>So lange er steht</translation>
    </message>
    <message>
        <source>fall</source>
        <translation>Abfall</translation>
    </message>
    <message>
        <source>Its tail</source>
        <translation>Sein Schweif</translation>
    </message>
    <message>
        <source>over what lies below</source>
        <translation>über dem, was darunter liegt</translation>
    </message>
    <message>
        <source>All steps are accents, over whatever the lamps show; else the first one is the colour they rest in</source>
        <translation>Alle Schritte sind Akzente über dem, was die Lampen zeigen; sonst ist der erste die Farbe, in der sie ruhen</translation>
    </message>
    <message>
        <source>What accents pass over</source>
        <translation>Worüber Akzente ziehen</translation>
    </message>
    <message>
        <source>steps a minute</source>
        <translation>Schritte pro Minute</translation>
    </message>
    <message>
        <source>From colour to colour</source>
        <translation>Von Farbe zu Farbe</translation>
    </message>
    <message>
        <source>Tap the beat</source>
        <translation>Takt tippen</translation>
    </message>
    <message>
        <source>Press it with the music: the usual time between becomes that of a step</source>
        <translation>Mit der Musik drücken: Die übliche Zeit dazwischen wird die eines Schritts</translation>
    </message>
    <message>
        <source>At the end</source>
        <translation>Am Ende</translation>
    </message>
    <message>
        <source>It begins again, goes back the way it came, or stops</source>
        <translation>Sie beginnt neu, geht den Weg zurück oder hält</translation>
    </message>
    <message>
        <source>again</source>
        <translation>von vorn</translation>
    </message>
    <message>
        <source>to and fro</source>
        <translation>hin und her</translation>
    </message>
    <message>
        <source>stop</source>
        <translation>halt</translation>
    </message>
    <message>
        <source>End of a ripple</source>
        <translation>Ende einer Welle</translation>
    </message>
    <message>
        <source>at the end</source>
        <translation>am Ende</translation>
    </message>
    <message>
        <source>and lets go</source>
        <translation>und lässt los</translation>
    </message>
    <message>
        <source>At its end it shows what lies below; else it holds its last colours</source>
        <translation>Am Ende zeigt sie, was darunter liegt; sonst hält sie ihre letzten Farben</translation>
    </message>
    <message>
        <source>let go in</source>
        <translation>loslassen in</translation>
    </message>
    <message>
        <source>The time in which it goes when it is let go of</source>
        <translation>Die Zeit, in der sie geht, wenn sie losgelassen wird</translation>
    </message>
    <message>
        <source>At random</source>
        <translation>Zufall</translation>
    </message>
    <message>
        <source>In their order; one after another in a random one; or each lamp with a moment of its own</source>
        <translation>In ihrer Ordnung; eine nach der anderen in zufälliger; oder jede Lampe mit eigenem Augenblick</translation>
    </message>
    <message>
        <source>in order</source>
        <translation>der Reihe nach</translation>
    </message>
    <message>
        <source>one by one</source>
        <translation>einzeln</translation>
    </message>
    <message>
        <source>each its own</source>
        <translation>jede für sich</translation>
    </message>
    <message>
        <source>Ripple at random</source>
        <translation>Welle mit Zufall</translation>
    </message>
    <message>
        <source>Laid over the lineup</source>
        <translation>Über die Lampenreihe gelegt</translation>
    </message>
    <message>
        <source>at random</source>
        <translation>Zufall</translation>
    </message>
    <message>
        <source>seed</source>
        <translation>Startzahl</translation>
    </message>
    <message>
        <source>Another number, another order; the same number, the same one</source>
        <translation>Eine andere Zahl, eine andere Ordnung; dieselbe Zahl, dieselbe</translation>
    </message>
    <message>
        <source>Way between steps</source>
        <translation>Weg zwischen Schritten</translation>
    </message>
    <message>
        <source>Way</source>
        <translation>Weg</translation>
    </message>
    <message>
        <source>As needed: straight, and around the white where that would turn pale; straight; around; or with a jump</source>
        <translation>Nach Bedarf: gerade, und um das Weiß herum, wo das blass würde; gerade; herum; oder mit einem Sprung</translation>
    </message>
    <message>
        <source>as needed</source>
        <translation>nach Bedarf</translation>
    </message>
    <message>
        <source>Straight</source>
        <translation>Gerade</translation>
    </message>
    <message>
        <source>Around</source>
        <translation>Herum</translation>
    </message>
    <message>
        <source>Jump</source>
        <translation>Sprung</translation>
    </message>
    <message>
        <source>Way of a ripple</source>
        <translation>Weg einer Welle</translation>
    </message>
    <message>
        <source>saturation floor</source>
        <translation>Sättigungsgrenze</translation>
    </message>
    <message>
        <source>How much of its ends&apos; saturation the way around keeps</source>
        <translation>Wie viel von der Sättigung seiner Enden der Weg herum behält</translation>
    </message>
    <message>
        <source>a kept route</source>
        <translation>eine behaltene Route</translation>
    </message>
    <message>
        <source>The way of a route that was kept in Crossfade</source>
        <translation>Der Weg einer Route, die in Übergang behalten wurde</translation>
    </message>
    <message>
        <source>A kept route</source>
        <translation>Eine behaltene Route</translation>
    </message>
    <message>
        <source>None is kept: K keeps one in Crossfade</source>
        <translation>Keine behalten: K behält eine in Übergang</translation>
    </message>
</context>
<context>
    <name>zelo::desk::RippleModel</name>
    <message>
        <source>%1 cannot reach %2</source>
        <translation>%1 erreichen %2 nicht</translation>
    </message>
    <message>
        <source>Faster than frames go out: some colours are passed over.</source>
        <translation>Schneller, als Bilder hinausgehen: Manche Farben fallen aus.</translation>
    </message>
    <message>
        <source>Add a step</source>
        <translation>Schritt hinzufügen</translation>
    </message>
    <message>
        <source>Remove a step</source>
        <translation>Schritt entfernen</translation>
    </message>
    <message>
        <source>Move a step</source>
        <translation>Schritt versetzen</translation>
    </message>
    <message>
        <source>Colour of a step</source>
        <translation>Farbe eines Schritts</translation>
    </message>
    <message>
        <source>Time of a step</source>
        <translation>Zeit eines Schritts</translation>
    </message>
    <message>
        <source>Pace of a ripple</source>
        <translation>Tempo einer Welle</translation>
    </message>
    <message>
        <source>Faster</source>
        <translation>Schneller</translation>
    </message>
    <message>
        <source>Slower</source>
        <translation>Langsamer</translation>
    </message>
    <message>
        <source>First beat: press again with the next one.</source>
        <translation>Erster Schlag: mit dem nächsten wieder drücken.</translation>
    </message>
    <message>
        <source>Pace by beats</source>
        <translation>Tempo nach Schlägen</translation>
    </message>
    <message>
        <source>Ripple with intensities</source>
        <translation>Welle mit Intensitäten</translation>
    </message>
    <message>
        <source>Ripple of colour alone</source>
        <translation>Welle nur aus Farbe</translation>
    </message>
    <message>
        <source>Lay a ripple over the lineup</source>
        <translation>Welle über die Lampenreihe legen</translation>
    </message>
    <message>
        <source>%1 has no colour of its own: a step needs one.</source>
        <translation>%1 hat keine eigene Farbe: Ein Schritt braucht eine.</translation>
    </message>
    <message>
        <source>Ripple</source>
        <translation>Welle</translation>
    </message>
    <message>
        <source>Begin a ripple</source>
        <translation>Welle beginnen</translation>
    </message>
    <message>
        <source>The first or the last lamp has no colour: give them one first.</source>
        <translation>Die erste oder die letzte Lampe hat keine Farbe: ihnen erst eine geben.</translation>
    </message>
    <message>
        <source>Rainbow</source>
        <translation>Regenbogen</translation>
    </message>
    <message>
        <source>Steps from gradient %1</source>
        <translation>Schritte aus Verlauf %1</translation>
    </message>
    <message>
        <source>Copy ripple %1</source>
        <translation>Welle %1 kopieren</translation>
    </message>
    <message>
        <source>Rename ripple</source>
        <translation>Welle umbenennen</translation>
    </message>
    <message>
        <source>Remove ripple %1</source>
        <translation>Welle %1 entfernen</translation>
    </message>
    <message>
        <source>Lock ripple</source>
        <translation>Welle sperren</translation>
    </message>
    <message>
        <source>Unlock ripple</source>
        <translation>Welle entsperren</translation>
    </message>
    <message>
        <source>cue %1 of %2</source>
        <translation>Cue %1 von %2</translation>
    </message>
    <message>
        <source>fader %1</source>
        <translation>Fader %1</translation>
    </message>
    <message>
        <source>Ripple %1 onto a fader</source>
        <translation>Welle %1 auf einen Fader</translation>
    </message>
    <message>
        <source>A fader of %1 stands in Cues.</source>
        <translation>Ein Fader von %1 steht in Cues.</translation>
    </message>
    <message>
        <source>A gradient needs two lamps that make colours.</source>
        <translation>Ein Verlauf braucht zwei Lampen, die Farben machen.</translation>
    </message>
    <message>
        <source>Keep gradient %1</source>
        <translation>Verlauf %1 behalten</translation>
    </message>
    <message>
        <source>Nothing to keep: its lamps show nothing.</source>
        <translation>Nichts zu behalten: Ihre Lampen zeigen nichts.</translation>
    </message>
    <message>
        <source>Keep look %1</source>
        <translation>Look %1 behalten</translation>
    </message>
    <message>
        <source>Saving a turn</source>
        <translation>Umlauf wird gespeichert</translation>
    </message>
    <message numerus="yes">
        <source>%n cue(s) for one turn are in %1.</source>
        <translation>
            <numerusform>%n Cue für einen Umlauf steht in %1.</numerusform>
            <numerusform>%n Cues für einen Umlauf stehen in %1.</numerusform>
        </translation>
    </message>
    <message>
        <source>Nothing to play yet: choose two colours.</source>
        <translation>Noch nichts zu spielen: wähle zwei Farben.</translation>
    </message>
    <message>
        <source>at %1 s of the ripple</source>
        <translation>bei %1 s der Welle</translation>
    </message>
    <message>
        <source>It is gone from %1 too; undo brings it back.</source>
        <translation>Sie fehlt nun auch in %1; Rückgängig bringt sie zurück.</translation>
    </message>
</context>
<context>
    <name>zelo::desk::RippleSide</name>
    <message>
        <source>Shown where</source>
        <translation>Wo es zu sehen ist</translation>
    </message>
    <message>
        <source>On the screen alone, or on the lamps too</source>
        <translation>Nur am Bildschirm oder auch auf den Lampen</translation>
    </message>
    <message>
        <source>screen</source>
        <translation>Schirm</translation>
    </message>
    <message>
        <source>lamps</source>
        <translation>Lampen</translation>
    </message>
    <message>
        <source>Play</source>
        <translation>Spielen</translation>
    </message>
    <message>
        <source>Starts the ripple; again: it is let go of</source>
        <translation>Startet die Welle; noch einmal: Sie wird losgelassen</translation>
    </message>
    <message>
        <source>Freeze</source>
        <translation>Anhalten</translation>
    </message>
    <message>
        <source>Holds its colours; again: lets them go on</source>
        <translation>Hält ihre Farben; noch einmal: Sie laufen weiter</translation>
    </message>
    <message>
        <source>Keep as…</source>
        <translation>Behalten als …</translation>
    </message>
    <message>
        <source>Keeps what the lamps show at the line as a gradient or a look</source>
        <translation>Behält, was die Lampen an der Linie zeigen, als Verlauf oder Look</translation>
    </message>
    <message>
        <source>Ripple, readings</source>
        <translation>Welle, Werte</translation>
    </message>
    <message>
        <source>Let go</source>
        <translation>Loslassen</translation>
    </message>
    <message>
        <source>Stop</source>
        <translation>Halt</translation>
    </message>
    <message>
        <source>rehearsal: nothing goes out to the fixtures</source>
        <translation>Probe: Es geht nichts an die Lampen</translation>
    </message>
    <message>
        <source>Timing</source>
        <translation>Zeiten</translation>
    </message>
    <message>
        <source>Begin a ripple, and its times, its way and how it is played stand here.</source>
        <translation>Eine Welle beginnen, dann stehen hier ihre Zeiten, ihr Weg und wie sie gespielt wird.</translation>
    </message>
</context>
<context>
    <name>zelo::desk::RippleView</name>
    <message>
        <source>This ripple and the others of the show</source>
        <translation>Diese Welle und die anderen der Show</translation>
    </message>
    <message>
        <source>add a step</source>
        <translation>Schritt dazu</translation>
    </message>
    <message>
        <source>Behind the chosen step, of a colour between it and the next: choose another one in the swatch book</source>
        <translation>Hinter dem gewählten Schritt, in einer Farbe zwischen ihm und dem nächsten: Im Farbbuch eine andere wählen</translation>
    </message>
    <message>
        <source>Lay it over the lineup</source>
        <translation>Über die Lampenreihe legen</translation>
    </message>
    <message>
        <source>It runs over these lamps, in this order</source>
        <translation>Sie läuft über diese Lampen, in dieser Ordnung</translation>
    </message>
    <message>
        <source>Take its lamps</source>
        <translation>Ihre Lampen nehmen</translation>
    </message>
    <message>
        <source>The lamps it runs over become the lineup</source>
        <translation>Die Lampen, über die sie läuft, werden die Lampenreihe</translation>
    </message>
    <message>
        <source>From the first lamp to the last, as they are now</source>
        <translation>Von der ersten Lampe zur letzten, wie sie jetzt sind</translation>
    </message>
    <message>
        <source>The colours of the two become the steps</source>
        <translation>Die Farben der beiden werden die Schritte</translation>
    </message>
    <message>
        <source>Rainbow</source>
        <translation>Regenbogen</translation>
    </message>
    <message>
        <source>All hues that these lamps share, evenly to the eye and all as bright</source>
        <translation>Alle Farbtöne, die diese Lampen teilen, fürs Auge gleichmäßig und gleich hell</translation>
    </message>
    <message>
        <source>Ripple</source>
        <translation>Welle</translation>
    </message>
    <message>
        <source>Ripples</source>
        <translation>Wellen</translation>
    </message>
    <message>
        <source>Another one</source>
        <translation>Eine andere</translation>
    </message>
    <message>
        <source>Rainbow over the lineup</source>
        <translation>Regenbogen über die Lampenreihe</translation>
    </message>
    <message>
        <source>From a gradient</source>
        <translation>Aus einem Verlauf</translation>
    </message>
    <message>
        <source>Rename…</source>
        <translation>Umbenennen…</translation>
    </message>
    <message>
        <source>Rename ripple</source>
        <translation>Welle umbenennen</translation>
    </message>
    <message>
        <source>What the ripple is called</source>
        <translation>Wie die Welle heißt</translation>
    </message>
    <message>
        <source>Copy</source>
        <translation>Kopieren</translation>
    </message>
    <message>
        <source>Unlock</source>
        <translation>Entsperren</translation>
    </message>
    <message>
        <source>Lock</source>
        <translation>Sperren</translation>
    </message>
    <message>
        <source>Onto a fader</source>
        <translation>Auf einen Fader</translation>
    </message>
    <message>
        <source>One turn for another desk…</source>
        <translation>Ein Umlauf für ein anderes Pult…</translation>
    </message>
    <message>
        <source>Where used</source>
        <translation>Wo verwendet</translation>
    </message>
    <message>
        <source>Remove</source>
        <translation>Entfernen</translation>
    </message>
    <message>
        <source>%1, locked</source>
        <translation>%1, gesperrt</translation>
    </message>
    <message>
        <source>the others</source>
        <translation>die anderen</translation>
    </message>
    <message>
        <source>with intensities of its own</source>
        <translation>mit eigenen Intensitäten</translation>
    </message>
    <message>
        <source>colour only, brightness untouched</source>
        <translation>nur Farbe, Helligkeit unberührt</translation>
    </message>
    <message>
        <source>It runs over no lamps yet.</source>
        <translation>Sie läuft noch über keine Lampen.</translation>
    </message>
    <message>
        <source>It runs over %1, not over these in this order.</source>
        <translation>Sie läuft über %1, nicht über diese in dieser Ordnung.</translation>
    </message>
    <message>
        <source>none on the bench yet</source>
        <translation>noch keine auf der Bank</translation>
    </message>
    <message>
        <source>The first colour is chosen. Now choose the second one in the swatch book, or drop it here.</source>
        <translation>Die erste Farbe ist gewählt. Jetzt die zweite im Farbbuch wählen oder hier ablegen.</translation>
    </message>
    <message>
        <source>Or choose two colours or palettes in the swatch book, one after the other.</source>
        <translation>Oder zwei Farben oder Paletten im Farbbuch wählen, eine nach der anderen.</translation>
    </message>
    <message>
        <source>or all colours round</source>
        <translation>oder alle Farben rundum</translation>
    </message>
</context>
<context>
    <name>zelo::desk::SettingsForm</name>
    <message>
        <source>Choose lamps first: their other channels are shown then.</source>
        <translation>Erst Lampen wählen: Dann werden ihre anderen Kanäle gezeigt.</translation>
    </message>
    <message>
        <source>The lamps of the lineup have intensity and colour alone.</source>
        <translation>Die Lampen der Lampenreihe haben nur Helligkeit und Farbe.</translation>
    </message>
    <message>
        <source>Other channels of %1</source>
        <translation>Andere Kanäle von %1</translation>
    </message>
    <message>
        <source>What the lamps have beside intensity and colour. Set by hand; a cue or a look keeps what was set.</source>
        <translation>Was die Lampen neben Helligkeit und Farbe haben. Von Hand gesetzt; ein Cue oder ein Look behält, was gesetzt wurde.</translation>
    </message>
    <message>
        <source>%1: a share of all its values</source>
        <translation>%1: ein Anteil aller seiner Werte</translation>
    </message>
    <message>
        <source>What %1 does</source>
        <translation>Was %1 tut</translation>
    </message>
    <message>
        <source>What %1 does there; the middle of its values is taken</source>
        <translation>Was %1 dort tut; die Mitte der Werte wird genommen</translation>
    </message>
    <message>
        <source>let go</source>
        <translation>loslassen</translation>
    </message>
    <message>
        <source>Out of the hand: as cues and looks say, or at rest</source>
        <translation>Aus der Hand: wie Cues und Looks sagen, oder in Ruhe</translation>
    </message>
    <message>
        <source>Let go of %1</source>
        <translation>%1 loslassen</translation>
    </message>
</context>
<context>
    <name>zelo::desk::SettingsPage</name>
    <message>
        <source>Theme</source>
        <translation>Aussehen</translation>
    </message>
    <message>
        <source>Dark for the dark room, light for an office</source>
        <translation>Dunkel für den dunklen Raum, hell fürs Büro</translation>
    </message>
    <message>
        <source>dark</source>
        <translation>dunkel</translation>
    </message>
    <message>
        <source>light</source>
        <translation>hell</translation>
    </message>
    <message>
        <source>Size of everything</source>
        <translation>Größe von allem</translation>
    </message>
    <message>
        <source>From the next start on</source>
        <translation>Vom nächsten Start an</translation>
    </message>
    <message>
        <source>100 %</source>
        <translation>100 %</translation>
    </message>
    <message>
        <source>120 %</source>
        <translation>120 %</translation>
    </message>
    <message>
        <source>140 %</source>
        <translation>140 %</translation>
    </message>
    <message>
        <source>Language</source>
        <translation>Sprache</translation>
    </message>
    <message>
        <source>The eye takes for white</source>
        <translation>Weiß ist fürs Auge</translation>
    </message>
    <message>
        <source>The lamp behind the swatch book&apos;s gels, or a lamp of its own</source>
        <translation>Die Lampe hinter den Filtern des Farbfächers, oder eine eigene</translation>
    </message>
    <message>
        <source>the book&apos;s lamp</source>
        <translation>die Lampe des Fächers</translation>
    </message>
    <message>
        <source>kelvin</source>
        <translation>Kelvin</translation>
    </message>
    <message>
        <source>White of the eye, always</source>
        <translation>Weiß des Auges, immer</translation>
    </message>
    <message>
        <source>A lamp of this temperature</source>
        <translation>Eine Lampe dieser Farbtemperatur</translation>
    </message>
    <message>
        <source>K</source>
        <translation>K</translation>
    </message>
    <message>
        <source>Time in hand at the start</source>
        <translation>Zeit in der Hand beim Start</translation>
    </message>
    <message>
        <source>In which changes by hand fade; T sets it for now</source>
        <translation>In der Änderungen von Hand blenden; T setzt sie für jetzt</translation>
    </message>
    <message>
        <source>s</source>
        <translation>s</translation>
    </message>
    <message>
        <source>Guard of Next</source>
        <translation>Schutz von „Weiter“</translation>
    </message>
    <message>
        <source>Two presses closer than this count as one</source>
        <translation>Zwei dichtere Drücke zählen als einer</translation>
    </message>
    <message>
        <source>Intensity fades</source>
        <translation>Helligkeit blendet</translation>
    </message>
    <message>
        <source>In level as a plain desk, or evenly as the eye sees it; of this show</source>
        <translation>Im Pegel wie ein einfaches Pult, oder gleichmäßig, wie das Auge es sieht; in dieser Schau</translation>
    </message>
    <message>
        <source>in level</source>
        <translation>im Pegel</translation>
    </message>
    <message>
        <source>evenly to the eye</source>
        <translation>gleichmäßig fürs Auge</translation>
    </message>
    <message>
        <source>Start with</source>
        <translation>Beginnen mit</translation>
    </message>
    <message>
        <source>What is open after the start</source>
        <translation>Was nach dem Start offen ist</translation>
    </message>
    <message>
        <source>the last show</source>
        <translation>der letzten Schau</translation>
    </message>
    <message>
        <source>the demo</source>
        <translation>dem Beispiel</translation>
    </message>
    <message>
        <source>an empty show</source>
        <translation>einer leeren Schau</translation>
    </message>
    <message>
        <source>Into a file…</source>
        <translation>In eine Datei…</translation>
    </message>
    <message>
        <source>All settings, for another computer</source>
        <translation>Alle Einstellungen, für einen anderen Rechner</translation>
    </message>
    <message>
        <source>From a file…</source>
        <translation>Aus einer Datei …</translation>
    </message>
    <message>
        <source>Settings that were put into a file</source>
        <translation>Einstellungen, die in einer Datei stehen</translation>
    </message>
    <message>
        <source>Reset all</source>
        <translation>Alle zurücksetzen</translation>
    </message>
    <message>
        <source>As they are in a new installation</source>
        <translation>Wie bei einer neuen Installation</translation>
    </message>
    <message>
        <source>Settings</source>
        <translation>Einstellungen</translation>
    </message>
    <message>
        <source>What holds for all shows; Esc closes</source>
        <translation>Was für alle Schauen gilt; Esc schließt</translation>
    </message>
    <message>
        <source>Ctrl+T</source>
        <translation>Strg+T</translation>
    </message>
    <message>
        <source>from the next start on</source>
        <translation>vom nächsten Start an</translation>
    </message>
    <message>
        <source>how colours are drawn</source>
        <translation>wie Farben gezeichnet werden</translation>
    </message>
    <message>
        <source>T sets it for now</source>
        <translation>T setzt sie für jetzt</translation>
    </message>
    <message>
        <source>two presses closer than this count as one</source>
        <translation>zwei dichtere Drücke zählen als einer</translation>
    </message>
    <message>
        <source>of this show, with undo</source>
        <translation>in dieser Schau, mit Zurück</translation>
    </message>
    <message>
        <source>unless a show is named</source>
        <translation>wenn keine Schau genannt ist</translation>
    </message>
    <message>
        <source>How intensity fades</source>
        <translation>Wie Helligkeit blendet</translation>
    </message>
    <message>
        <source>Settings into a file</source>
        <translation>Einstellungen in eine Datei</translation>
    </message>
    <message>
        <source>Settings (*.json)</source>
        <translation>Einstellungen (*.json)</translation>
    </message>
    <message>
        <source>Settings from a file</source>
        <translation>Einstellungen aus einer Datei</translation>
    </message>
    <message>
        <source>Settings (*.json);;All files (*)</source>
        <translation>Einstellungen (*.json);;Alle Dateien (*)</translation>
    </message>
    <message>
        <source>All settings are as in a new installation.</source>
        <translation>Alle Einstellungen sind wie bei einer neuen Installation.</translation>
    </message>
    <message>
        <source>Writing %1</source>
        <translation>Schreibt %1</translation>
    </message>
    <message>
        <source>Written: %1</source>
        <translation>Geschrieben: %1</translation>
    </message>
    <message>
        <source>Reading %1</source>
        <translation>%1 wird gelesen</translation>
    </message>
    <message>
        <source>%1: %2</source>
        <translation>%1: %2</translation>
    </message>
    <message>
        <source>Settings taken from %1.</source>
        <translation>Einstellungen aus %1 übernommen.</translation>
    </message>
    <message>
        <source>Settings taken from %1; not known here: %2.</source>
        <translation>Einstellungen aus %1 übernommen; hier unbekannt: %2.</translation>
    </message>
    <message>
        <source>Esc closes</source>
        <translation>Esc schließt</translation>
    </message>
</context>
<context>
    <name>zelo::desk::ShowFiles</name>
    <message>
        <source>%1. You may open a copy: it gets a file of its own when you save it.</source>
        <translation>%1. Es kann eine Kopie geöffnet werden: sie bekommt beim Sichern eine eigene Datei.</translation>
    </message>
    <message>
        <source>Open a copy</source>
        <translation>Eine Kopie öffnen</translation>
    </message>
    <message>
        <source>Leave it</source>
        <translation>Lassen</translation>
    </message>
    <message>
        <source>Untitled</source>
        <translation>Ohne Namen</translation>
    </message>
    <message>
        <source>Open a show</source>
        <translation>Eine Show öffnen</translation>
    </message>
    <message>
        <source>Recent shows</source>
        <translation>Letzte Shows</translation>
    </message>
    <message>
        <source>No show was opened or saved yet</source>
        <translation>Es wurde noch keine Show geöffnet oder gesichert</translation>
    </message>
    <message>
        <source>%1. Save yours as this show, and leave the other beside it under a dated name? Both are there then.</source>
        <translation>%1. Ihre als diese Show sichern und die andere unter einem Namen mit Datum daneben lassen? Dann sind beide da.</translation>
    </message>
    <message>
        <source>Save, both stay</source>
        <translation>Sichern, beide bleiben</translation>
    </message>
    <message>
        <source>Save under another name…</source>
        <translation>Unter anderem Namen sichern …</translation>
    </message>
    <message>
        <source>Not now</source>
        <translation>Nicht jetzt</translation>
    </message>
    <message>
        <source>Save the show as</source>
        <translation>Die Show sichern als</translation>
    </message>
    <message>
        <source>Save a copy as</source>
        <translation>Eine Kopie sichern als</translation>
    </message>
    <message>
        <source>%1 copy.zelo</source>
        <translation>%1 Kopie.zelo</translation>
    </message>
    <message>
        <source>A copy is at %1; you go on in the same show.</source>
        <translation>Eine Kopie liegt in %1; die Arbeit geht in derselben Show weiter.</translation>
    </message>
    <message>
        <source>Start from this show</source>
        <translation>Mit dieser Show beginnen</translation>
    </message>
    <message>
        <source>New, from %1</source>
        <translation>Neu, aus %1</translation>
    </message>
    <message>
        <source>“%1” has changes that are not on disk yet.</source>
        <translation>„%1“ hat Änderungen, die noch nicht auf der Platte sind.</translation>
    </message>
    <message>
        <source>Save them</source>
        <translation>Sichern</translation>
    </message>
    <message>
        <source>Lose them</source>
        <translation>Verlieren</translation>
    </message>
    <message>
        <source>Stay here</source>
        <translation>Hier bleiben</translation>
    </message>
    <message>
        <source>Work on %1 was not saved when its program ended. Its last state is of %2%3.</source>
        <translation>Arbeit an %1 war nicht gesichert, als ihr Programm endete. Ihr letzter Stand ist von %2%3.</translation>
    </message>
    <message>
        <source>, and its file was saved later</source>
        <translation>, und ihre Datei wurde später gesichert</translation>
    </message>
    <message>
        <source>, and is newer than its file</source>
        <translation>, und ist neuer als ihre Datei</translation>
    </message>
    <message>
        <source>Take it back</source>
        <translation>Zurückholen</translation>
    </message>
    <message>
        <source>Throw it away</source>
        <translation>Wegwerfen</translation>
    </message>
    <message>
        <source>Decide later</source>
        <translation>Später entscheiden</translation>
    </message>
    <message>
        <source>Work left behind</source>
        <translation>Liegengebliebene Arbeit</translation>
    </message>
    <message>
        <source>Nothing was left behind: all is saved</source>
        <translation>Nichts blieb liegen: alles ist gesichert</translation>
    </message>
    <message>
        <source>Start from “%1”</source>
        <translation>Von „%1“ aus beginnen</translation>
    </message>
    <message>
        <source>Its rig, groups, palettes and looks come along, and these cue lists:</source>
        <translation>Aufbau, Gruppen, Paletten und Looks kommen mit, und diese Cuelisten:</translation>
    </message>
    <message numerus="yes">
        <source>%1, %n cues</source>
        <translation>
            <numerusform>%1, ein Cue</numerusform>
            <numerusform>%1, %n Cues</numerusform>
        </translation>
    </message>
    <message>
        <source>Takes this list along</source>
        <translation>Nimmt diese Liste mit</translation>
    </message>
    <message>
        <source>Start</source>
        <translation>Beginnen</translation>
    </message>
    <message>
        <source>A new show; the one it comes from stays as it is</source>
        <translation>Eine neue Show; die, von der sie kommt, bleibt, wie sie ist</translation>
    </message>
</context>
<context>
    <name>zelo::desk::SkinPanel</name>
    <message>
        <source>On skin and cloth</source>
        <translation>Auf Haut und Stoff</translation>
    </message>
    <message>
        <source>largest difference on skin %1</source>
        <translation>größter Unterschied auf Haut %1</translation>
    </message>
    <message>
        <source>ΔE %1</source>
        <translation>ΔE %1</translation>
    </message>
    <message>
        <source>ΔE</source>
        <translation>ΔE</translation>
    </message>
    <message>
        <source>A colour typed as numbers has no spectrum: how it looks on skin depends on the light that has it. Ask for a gel, a white or a measured light.</source>
        <translation>Eine als Zahlen getippte Farbe hat kein Spektrum: wie sie auf Haut aussieht, hängt vom Licht ab, das sie hat. Eine Folie, ein Weiß oder ein gemessenes Licht verlangen.</translation>
    </message>
    <message>
        <source>Left half: under the light wanted. Right half: under what the type in focus makes. ΔE in CAM16-UCS, the eye adapted to the lamp, or all as the camera shows it: below 1 nobody sees it. The worst stands out</source>
        <translation>Linke Hälfte: unter dem gewünschten Licht. Rechte Hälfte: unter dem, was der Typ im Blick daraus macht. ΔE in CAM16-UCS, das Auge an die Lampe angepasst, oder alles, wie die Kamera es zeigt: unter 1 sieht es niemand. Das Schlimmste tritt hervor</translation>
    </message>
    <message>
        <source>largest of all on %1</source>
        <translation>größter von allen auf %1</translation>
    </message>
</context>
<context>
    <name>zelo::desk::SlotStrip</name>
    <message>
        <source>Slots of %1</source>
        <translation>Plätze von %1</translation>
    </message>
    <message>
        <source>%1: a press takes a slot, the arrow keys step, P pins it, Backspace solves again</source>
        <translation>%1: ein Druck nimmt einen Platz, die Pfeiltasten rücken, P hält ihn fest, die Rücktaste löst neu</translation>
    </message>
    <message>
        <source>between %1 and %2: %3</source>
        <translation>zwischen %1 und %2: %3</translation>
    </message>
    <message>
        <source>%1, Δu′v′ %2</source>
        <translation>%1, Δu′v′ %2</translation>
    </message>
    <message>
        <source>Unpin %1	P</source>
        <translation>%1 lösen	P</translation>
    </message>
    <message>
        <source>Pin %1 here	P</source>
        <translation>%1 hier festhalten	P</translation>
    </message>
    <message>
        <source>Solve again	Backspace</source>
        <translation>Neu lösen	Rücktaste</translation>
    </message>
</context>
<context>
    <name>zelo::desk::SplitField</name>
    <message>
        <source>Split field</source>
        <translation>Teilfeld</translation>
    </message>
    <message>
        <source>Wanted at the left, got at the right (Z or a press closes)</source>
        <translation>Links gewünscht, rechts erhalten (Z oder ein Druck schließt)</translation>
    </message>
</context>
<context>
    <name>zelo::desk::SplitWindow</name>
    <message>
        <source>Wanted at the left, got at the right: put it on another screen (Esc closes, F fills the screen)</source>
        <translation>Links gewünscht, rechts erhalten: auf einen anderen Schirm stellen (Esc schließt, F füllt den Schirm)</translation>
    </message>
    <message>
        <source>Wanted and got</source>
        <translation>Gewünscht und erhalten</translation>
    </message>
</context>
<context>
    <name>zelo::desk::StageSwitch</name>
    <message>
        <source>Rehearsal or On stage</source>
        <translation>Probe oder Auf der Bühne</translation>
    </message>
    <message>
        <source>Rehearsal: the fixtures hold what they show while you work. On stage: what you do goes out (F9)</source>
        <translation>Probe: die Geräte halten, was sie zeigen, während gearbeitet wird. Auf der Bühne: was getan wird, geht hinaus (F9)</translation>
    </message>
    <message>
        <source>On stage</source>
        <translation>Auf der Bühne</translation>
    </message>
    <message>
        <source>Rehearsal</source>
        <translation>Probe</translation>
    </message>
</context>
<context>
    <name>zelo::desk::StageView</name>
    <message>
        <source>Stage picture</source>
        <translation>Bühnenbild</translation>
    </message>
    <message>
        <source>The light of all lamps on floor, cyc and figures, as it is now. Figures can be dragged; arrows move the chosen one, Page Down chooses another. Right click to save it, or for a window of its own.</source>
        <translation>Das Licht aller Lampen auf Boden, Rundhorizont und Figuren, wie es jetzt ist. Figuren lassen sich ziehen; Pfeile bewegen die gewählte, Bild ab wählt eine andere. Rechtsklick zum Speichern, oder für ein eigenes Fenster.</translation>
    </message>
    <message>
        <source>No lamps yet: add some in Rig.</source>
        <translation>Noch keine Lampen: in Rig welche dazunehmen.</translation>
    </message>
    <message>
        <source>Figure %1</source>
        <translation>Figur %1</translation>
    </message>
    <message>
        <source>%1 m, %2 m</source>
        <translation>%1 m, %2 m</translation>
    </message>
    <message>
        <source>Writing %1</source>
        <translation>Schreibt %1</translation>
    </message>
    <message>
        <source>The picture is at %1.</source>
        <translation>Das Bild ist in %1.</translation>
    </message>
    <message>
        <source>%1 cannot be written</source>
        <translation>%1 kann nicht geschrieben werden</translation>
    </message>
    <message>
        <source>Save the stage picture</source>
        <translation>Das Bühnenbild speichern</translation>
    </message>
    <message>
        <source>Pictures (*.png)</source>
        <translation>Bilder (*.png)</translation>
    </message>
    <message>
        <source>Save the picture…</source>
        <translation>Das Bild speichern…</translation>
    </message>
    <message>
        <source>In a window of its own</source>
        <translation>In eigenem Fenster</translation>
    </message>
    <message>
        <source>One more figure</source>
        <translation>Eine Figur mehr</translation>
    </message>
    <message>
        <source>Add a figure</source>
        <translation>Eine Figur dazu</translation>
    </message>
    <message>
        <source>One figure less</source>
        <translation>Eine Figur weniger</translation>
    </message>
    <message>
        <source>Remove a figure</source>
        <translation>Eine Figur entfernen</translation>
    </message>
</context>
<context>
    <name>zelo::desk::StageWindow</name>
    <message>
        <source>Stage picture</source>
        <translation>Bühnenbild</translation>
    </message>
</context>
<context>
    <name>zelo::desk::StepBars</name>
    <message>
        <source>Steps</source>
        <translation>Schritte</translation>
    </message>
    <message>
        <source>How far it is to the eye from each lamp to the next (ΔE in Oklab × 100); bright where it is more than 15 % off the usual. The thin band under it: the same stops on a desk that knows levels only.</source>
        <translation>Wie weit es fürs Auge von jeder Lampe zur nächsten ist (ΔE in Oklab × 100); hell, wo es mehr als 15 % vom Üblichen abweicht. Das dünne Band darunter: dieselben Stopps auf einem Pult, das nur Pegel kennt.</translation>
    </message>
    <message>
        <source>step from lamp to lamp, ΔE</source>
        <translation>Schritt von Lampe zu Lampe, ΔE</translation>
    </message>
    <message>
        <source>thin band: as levels alone would</source>
        <translation>dünnes Band: wie Pegel allein</translation>
    </message>
    <message>
        <source>step from lamp %1 to %2</source>
        <translation>Schritt von Lampe %1 zu %2</translation>
    </message>
    <message>
        <source>%1 ΔE</source>
        <translation>%1 ΔE</translation>
    </message>
</context>
<context>
    <name>zelo::desk::StepTrack</name>
    <message>
        <source>Time of the step</source>
        <translation>Zeit des Schritts</translation>
    </message>
    <message>
        <source>How long the chosen step lasts, with its change into the next</source>
        <translation>Wie lange der gewählte Schritt dauert, mit seinem Wechsel zum nächsten</translation>
    </message>
    <message>
        <source>s</source>
        <translation>s</translation>
    </message>
    <message>
        <source>Steps of the ripple</source>
        <translation>Schritte der Welle</translation>
    </message>
    <message>
        <source>The steps of one turn. Drag a pointer: its times; double-click the ribbon adds a step; drop a colour on a step, or beside them for another one. ← → choose, Ctrl+← → move, ↑ ↓ time (Shift fine, Ctrl coarse), Ins adds, Del removes</source>
        <translation>Die Schritte eines Umlaufs. Einen Zeiger ziehen: ihre Zeiten; Doppelklick auf das Band fügt einen Schritt hinzu; eine Farbe auf einem Schritt ablegen, oder daneben für einen weiteren. ← → wählen, Strg+← → versetzen, ↑ ↓ Zeit (Umschalt fein, Strg grob), Einfg fügt hinzu, Entf entfernt</translation>
    </message>
    <message>
        <source>%1  %2 s</source>
        <translation>%1  %2 s</translation>
    </message>
    <message>
        <source>Drag a step</source>
        <translation>Schritt ziehen</translation>
    </message>
    <message>
        <source>Step</source>
        <translation>Schritt</translation>
    </message>
    <message>
        <source>Follows a palette</source>
        <translation>Folgt einer Palette</translation>
    </message>
    <message>
        <source>All steps from a gradient</source>
        <translation>Alle Schritte aus einem Verlauf</translation>
    </message>
    <message>
        <source>Takes the colour of a lamp</source>
        <translation>Nimmt die Farbe einer Lampe</translation>
    </message>
    <message>
        <source>Lamp %1</source>
        <translation>Lampe %1</translation>
    </message>
    <message>
        <source>Add one behind it	Ins</source>
        <translation>Einen dahinter	Einfg</translation>
    </message>
    <message>
        <source>Earlier	Ctrl+←</source>
        <translation>Früher	Strg+←</translation>
    </message>
    <message>
        <source>Later	Ctrl+→</source>
        <translation>Später	Strg+→</translation>
    </message>
    <message>
        <source>Remove	Del</source>
        <translation>Entfernen	Entf</translation>
    </message>
    <message>
        <source>%1 has no colour of its own: a step needs one.</source>
        <translation>%1 hat keine eigene Farbe: Ein Schritt braucht eine.</translation>
    </message>
    <message>
        <source>Step %1: %2</source>
        <translation>Schritt %1: %2</translation>
    </message>
    <message>
        <source>%1 s</source>
        <translation>%1 s</translation>
    </message>
</context>
<context>
    <name>zelo::desk::StopTrack</name>
    <message>
        <source>Position</source>
        <translation>Position</translation>
    </message>
    <message>
        <source>Where the stop stands along the gradient</source>
        <translation>Wo der Stopp im Verlauf steht</translation>
    </message>
    <message>
        <source>%</source>
        <translation>%</translation>
    </message>
    <message>
        <source>Intensity</source>
        <translation>Intensität</translation>
    </message>
    <message>
        <source>Of the chosen stop of intensity</source>
        <translation>Des gewählten Stopps der Intensität</translation>
    </message>
    <message>
        <source>% bright</source>
        <translation>% hell</translation>
    </message>
    <message>
        <source>Stops</source>
        <translation>Stopps</translation>
    </message>
    <message>
        <source>%1, free</source>
        <comment>a stop without a position of its own</comment>
        <translation>%1, frei</translation>
    </message>
    <message>
        <source>%1  %2 %</source>
        <translation>%1  %2 %</translation>
    </message>
    <message>
        <source>Drag a stop of intensity</source>
        <translation>Einen Stopp der Intensität ziehen</translation>
    </message>
    <message>
        <source>Stop</source>
        <translation>Stopp</translation>
    </message>
    <message>
        <source>Follows a palette</source>
        <translation>Folgt einer Palette</translation>
    </message>
    <message>
        <source>Takes the colour of a lamp</source>
        <translation>Nimmt die Farbe einer Lampe</translation>
    </message>
    <message>
        <source>Lamp %1</source>
        <translation>Lampe %1</translation>
    </message>
    <message>
        <source>Evenly between its neighbours	Backspace</source>
        <translation>Gleichmäßig zwischen seine Nachbarn	Rücktaste</translation>
    </message>
    <message>
        <source>Remove	Del</source>
        <translation>Entfernen	Entf</translation>
    </message>
    <message>
        <source>%1 has no colour of its own: a stop needs one.</source>
        <translation>%1 hat keine eigene Farbe: ein Stopp braucht eine.</translation>
    </message>
    <message>
        <source>Stop %1: %2</source>
        <translation>Stopp %1: %2</translation>
    </message>
    <message>
        <source>%1 %</source>
        <translation>%1 %</translation>
    </message>
    <message>
        <source>Stop of intensity %1</source>
        <translation>Stopp der Intensität %1</translation>
    </message>
    <message>
        <source>%1 % bright at %2 %</source>
        <translation>%1 % hell bei %2 %</translation>
    </message>
    <message>
        <source>Drag a stop; double-click adds one; dragging the ribbon turns the gradient along the lamps; drop a colour on a stop or beside it. ← → choose, Ctrl+← → move (Shift fine), Ins adds, Del removes, Backspace puts it evenly between its neighbours</source>
        <translation>Einen Stopp ziehen; ein Doppelklick setzt einen; das Band ziehen dreht den Verlauf entlang der Lampen; eine Farbe auf einen Stopp oder daneben fallen lassen. ← → wählen, Strg+← → bewegen (Umschalt fein), Einfg setzt, Entf entfernt, die Rücktaste stellt ihn gleichmäßig zwischen seine Nachbarn</translation>
    </message>
    <message>
        <source>Offset of a gradient</source>
        <translation>Versatz eines Verlaufs</translation>
    </message>
</context>
<context>
    <name>zelo::desk::SwatchModel</name>
    <message>
        <source>%1 %2: %3. Δu′v′ %4 on %5</source>
        <translation>%1 %2: %3. Δu′v′ %4 auf %5</translation>
    </message>
</context>
<context>
    <name>zelo::desk::SwatchPanel</name>
    <message>
        <source>All</source>
        <translation>Alle</translation>
    </message>
    <message>
        <source>Gels</source>
        <translation>Folien</translation>
    </message>
    <message>
        <source>Whites</source>
        <translation>Weiße</translation>
    </message>
    <message>
        <source>Palettes</source>
        <translation>Paletten</translation>
    </message>
    <message>
        <source>Measured</source>
        <translation>Gemessen</translation>
    </message>
    <message>
        <source>Search the swatch book</source>
        <translation>Das Farbbuch durchsuchen</translation>
    </message>
    <message>
        <source>Type a gel&apos;s number or name, a kelvin, words such as pale blue, or a colour such as xy:0.44,0.40; Enter takes the first (/)</source>
        <translation>Nummer oder Name einer Folie tippen, Kelvin, Wörter wie blasses Blau, oder eine Farbe wie xy:0.44,0.40; Enter nimmt die erste (/)</translation>
    </message>
    <message>
        <source>Kind of colour</source>
        <translation>Art der Farbe</translation>
    </message>
    <message>
        <source>Which kinds the list shows</source>
        <translation>Welche Arten die Liste zeigt</translation>
    </message>
    <message>
        <source>more…</source>
        <translation>mehr …</translation>
    </message>
    <message>
        <source>Palette %1</source>
        <translation>Palette %1</translation>
    </message>
    <message>
        <source>No favourite: %1</source>
        <translation>Kein Favorit: %1</translation>
    </message>
    <message>
        <source>Favourite: %1</source>
        <translation>Favorit: %1</translation>
    </message>
    <message>
        <source>%1 of %2 loaded, before those already there.</source>
        <translation>%1 aus %2 geladen, vor denen, die schon da waren.</translation>
    </message>
    <message numerus="yes">
        <source>%n gel(s)</source>
        <translation>
            <numerusform>%n Folie</numerusform>
            <numerusform>%n Folien</numerusform>
        </translation>
    </message>
    <message>
        <source>Measured light %1</source>
        <translation>Gemessenes Licht %1</translation>
    </message>
    <message>
        <source>By number</source>
        <translation>Nach Nummer</translation>
    </message>
    <message>
        <source>By hue</source>
        <translation>Nach Farbton</translation>
    </message>
    <message>
        <source>By transmission</source>
        <translation>Nach Durchlass</translation>
    </message>
    <message>
        <source>By miss</source>
        <translation>Nach Abweichung</translation>
    </message>
    <message>
        <source>Lamp behind the gels</source>
        <translation>Lampe hinter den Folien</translation>
    </message>
    <message>
        <source>%1 K</source>
        <translation>%1 K</translation>
    </message>
    <message>
        <source>Second layer</source>
        <translation>Zweite Lage</translation>
    </message>
    <message>
        <source>none</source>
        <translation>keine</translation>
    </message>
    <message>
        <source>gel %1, over each</source>
        <translation>Folie %1, über jeder</translation>
    </message>
    <message>
        <source>pick a gel first: it can lie over all others</source>
        <translation>erst eine Folie wählen: sie kann über allen andern liegen</translation>
    </message>
    <message>
        <source>Favourites only</source>
        <translation>Nur Favoriten</translation>
    </message>
    <message>
        <source>Load a swatch book…</source>
        <translation>Ein Farbbuch laden …</translation>
    </message>
    <message>
        <source>Load a swatch book</source>
        <translation>Ein Farbbuch laden</translation>
    </message>
    <message>
        <source>Swatch books (*.txt *.csv)</source>
        <translation>Farbbücher (*.txt *.csv)</translation>
    </message>
    <message>
        <source>Convert the book…</source>
        <translation>Das Buch umrechnen …</translation>
    </message>
    <message>
        <source>Load a measured light…</source>
        <translation>Ein gemessenes Licht laden …</translation>
    </message>
    <message>
        <source>Load a measured light</source>
        <translation>Ein gemessenes Licht laden</translation>
    </message>
    <message>
        <source>Spectra (*.csv *.sp *.txt *.spdx)</source>
        <translation>Spektren (*.csv *.sp *.txt *.spdx)</translation>
    </message>
    <message>
        <source>No favourite any more	B</source>
        <translation>Kein Favorit mehr	B</translation>
    </message>
    <message>
        <source>Favourite	B</source>
        <translation>Favorit	B</translation>
    </message>
    <message>
        <source>Take it out of the show</source>
        <translation>Aus der Show nehmen</translation>
    </message>
    <message>
        <source>Remove a measured light</source>
        <translation>Ein gemessenes Licht entfernen</translation>
    </message>
    <message>
        <source>Rename…</source>
        <translation>Umbenennen …</translation>
    </message>
    <message>
        <source>Becomes what the first of the lineup shows</source>
        <translation>Wird, was die erste der Lampenreihe zeigt</translation>
    </message>
    <message>
        <source>Change palette %1</source>
        <translation>Palette %1 ändern</translation>
    </message>
    <message>
        <source>Unlock</source>
        <translation>Entsperren</translation>
    </message>
    <message>
        <source>Lock</source>
        <translation>Sperren</translation>
    </message>
    <message>
        <source>Lock %1</source>
        <translation>%1 sperren</translation>
    </message>
    <message>
        <source>Unlock %1</source>
        <translation>%1 entsperren</translation>
    </message>
    <message>
        <source>Merge into</source>
        <translation>Zusammenlegen mit</translation>
    </message>
    <message>
        <source>Merge into %1</source>
        <translation>Zusammenlegen mit %1</translation>
    </message>
    <message>
        <source>Where it is used</source>
        <translation>Wo sie benutzt wird</translation>
    </message>
    <message>
        <source>%1: %2</source>
        <translation>%1: %2</translation>
    </message>
    <message>
        <source>on stage</source>
        <translation>auf der Bühne</translation>
    </message>
    <message>
        <source>in hand</source>
        <translation>in der Hand</translation>
    </message>
    <message>
        <source>look %1: %2</source>
        <translation>Look %1: %2</translation>
    </message>
    <message>
        <source>nowhere</source>
        <translation>nirgends</translation>
    </message>
    <message>
        <source>Delete…</source>
        <translation>Löschen …</translation>
    </message>
    <message>
        <source>Rename</source>
        <translation>Umbenennen</translation>
    </message>
    <message>
        <source>Name</source>
        <translation>Name</translation>
    </message>
    <message>
        <source>Rename palette to %1</source>
        <translation>Palette umbenennen in %1</translation>
    </message>
    <message>
        <source>Delete palette %1</source>
        <translation>Palette %1 löschen</translation>
    </message>
    <message>
        <source>Palette %1 deleted. Ctrl+Z brings it back.</source>
        <translation>Palette %1 gelöscht. Strg+Z bringt sie zurück.</translation>
    </message>
    <message>
        <source>%1 on stage</source>
        <translation>%1 auf der Bühne</translation>
    </message>
    <message>
        <source>%1 in hand</source>
        <translation>%1 in der Hand</translation>
    </message>
    <message numerus="yes">
        <source>%n look(s)</source>
        <translation>
            <numerusform>%n Look</numerusform>
            <numerusform>%n Looks</numerusform>
        </translation>
    </message>
    <message>
        <source>The palette “%2” is used by %1. Its values stay there and follow it no more.</source>
        <translation>Die Palette „%2“ wird benutzt von: %1. Ihre Werte bleiben dort und folgen ihr nicht mehr.</translation>
    </message>
    <message>
        <source>Delete it</source>
        <translation>Löschen</translation>
    </message>
    <message>
        <source>Keep it</source>
        <translation>Behalten</translation>
    </message>
    <message>
        <source>number, name or kelvin</source>
        <translation>Nummer, Name oder Kelvin</translation>
    </message>
    <message>
        <source>search</source>
        <translation>suchen</translation>
    </message>
    <message numerus="yes">
        <source>%n found</source>
        <translation>
            <numerusform>%n gefunden</numerusform>
            <numerusform>%n gefunden</numerusform>
        </translation>
    </message>
    <message>
        <source>choose lamps to see what they make of it</source>
        <translation>Lampen wählen, um zu sehen, was sie daraus machen</translation>
    </message>
    <message>
        <source>left wanted, right %1; lamp %2 K</source>
        <translation>links Wunsch, rechts %1; Lampe %2 K</translation>
    </message>
    <message>
        <source>, under %1</source>
        <translation>, unter %1</translation>
    </message>
    <message>
        <source>%1; lamp %2 K</source>
        <translation>%1; Lampe %2 K</translation>
    </message>
    <message>
        <source>No favourites: B on a row marks one.</source>
        <translation>Keine Favoriten: B auf einer Zeile merkt einen.</translation>
    </message>
    <message>
        <source>No palettes yet: K keeps what is in hand.</source>
        <translation>Noch keine Paletten: K behält, was in der Hand ist.</translation>
    </message>
    <message>
        <source>None yet: “more…” loads a measured light.</source>
        <translation>Noch keine: „mehr …“ lädt ein gemessenes Licht.</translation>
    </message>
    <message>
        <source>Nothing found: try a number or a part of a name.</source>
        <translation>Nichts gefunden: eine Nummer oder einen Teil eines Namens versuchen.</translation>
    </message>
    <message>
        <source>Order, lamp, second layer, favourites; load a book</source>
        <translation>Ordnung, Lampe, zweite Lage, Favoriten; ein Buch laden</translation>
    </message>
    <message>
        <source>Swatch book</source>
        <translation>Farbbuch</translation>
    </message>
    <message>
        <source>Colours</source>
        <translation>Farben</translation>
    </message>
    <message>
        <source>A click or Enter gives the colour to the lineup; B marks a favourite; the menu key opens what else can be done</source>
        <translation>Ein Klick oder Enter gibt die Farbe der Lampenreihe; B merkt einen Favoriten; die Menütaste zeigt, was sonst noch geht</translation>
    </message>
    <message>
        <source>Gradient %1</source>
        <translation>Verlauf %1</translation>
    </message>
    <message>
        <source>gradient %1</source>
        <translation>Verlauf %1</translation>
    </message>
    <message numerus="yes">
        <source>%n gradient(s)</source>
        <translation>
            <numerusform>%n Verlauf</numerusform>
            <numerusform>%n Verläufe</numerusform>
        </translation>
    </message>
    <message>
        <source>cue %1 of %2</source>
        <translation>Cue %1 von %2</translation>
    </message>
    <message numerus="yes">
        <source>%n cue(s)</source>
        <translation>
            <numerusform>%n Cue</numerusform>
            <numerusform>%n Cues</numerusform>
        </translation>
    </message>
</context>
<context>
    <name>zelo::desk::TakenColour</name>
    <message>
        <source>a colour</source>
        <translation>eine Farbe</translation>
    </message>
</context>
<context>
    <name>zelo::desk::Tour</name>
    <message>
        <source>Later</source>
        <translation>Später</translation>
    </message>
    <message>
        <source>Leaves the tour: it goes on from the menu, under Help</source>
        <translation>Verlässt den Rundgang: er geht im Menü unter Hilfe weiter</translation>
    </message>
    <message>
        <source>Skip this step</source>
        <translation>Schritt auslassen</translation>
    </message>
    <message>
        <source>The next step of the tour</source>
        <translation>Der nächste Schritt des Rundgangs</translation>
    </message>
    <message>
        <source>Tour</source>
        <translation>Rundgang</translation>
    </message>
    <message>
        <source>It goes on by itself once the thing is done</source>
        <translation>Er geht von selbst weiter, sobald es getan ist</translation>
    </message>
    <message>
        <source>That was the tour. F1 explains what is under the pointer, Shift+F1 opens the manual.</source>
        <translation>Das war der Rundgang. F1 erklärt, was unter dem Zeiger liegt, Umschalt+F1 öffnet das Handbuch.</translation>
    </message>
    <message>
        <source>Match a gel</source>
        <translation>Eine Folie treffen</translation>
    </message>
    <message>
        <source>Give it to a group</source>
        <translation>Einer Gruppe geben</translation>
    </message>
    <message>
        <source>Fade without white</source>
        <translation>Übergang ohne Weiß</translation>
    </message>
    <message>
        <source>Press a colour in the swatch book; or press /, type a number and press Enter. The lamps below show it at once, and Mix tells how it is made.</source>
        <translation>Eine Farbe im Farbbuch drücken; oder / drücken, eine Nummer tippen und Enter. Die Lampen unten zeigen sie sofort, und die Mischung sagt, wie sie entsteht.</translation>
    </message>
    <message>
        <source>Drag a colour from the book onto the name of a group under the lamps; or press G, choose a group, and press a colour.</source>
        <translation>Eine Farbe aus dem Buch auf den Namen einer Gruppe unter den Lampen ziehen; oder G drücken, eine Gruppe wählen und eine Farbe drücken.</translation>
    </message>
    <message>
        <source>Press 4, or Crossfade up here.</source>
        <translation>4 drücken, oder Übergang hier oben.</translation>
    </message>
    <message>
        <source>Choose the colours it goes from and to: press these, or &lt; and &gt;.</source>
        <translation>Die Farben wählen, von denen und zu denen es geht: diese drücken, oder &lt; und &gt;.</translation>
    </message>
    <message>
        <source>The upper ribbon is what a plain fade would show, the lower one goes round the white. Press P, or Play, and watch the lamps.</source>
        <translation>Das obere Band ist, was ein einfacher Übergang zeigte, das untere geht um das Weiß herum. P drücken, oder Abspielen, und die Lampen ansehen.</translation>
    </message>
    <message>
        <source>%1 of %2</source>
        <translation>%1 von %2</translation>
    </message>
</context>
<context>
    <name>zelo::desk::TypeButton</name>
    <message>
        <source>%1 gets it</source>
        <translation>%1 erhält es</translation>
    </message>
    <message>
        <source>miss %1, %2; %3, R_f %4</source>
        <translation>Abweichung %1, %2; %3, R_f %4</translation>
    </message>
    <message>
        <source>%1 is in focus: Mix and Readings are about it</source>
        <translation>%1 ist im Blick: Mischung und Ablesungen gelten ihm</translation>
    </message>
    <message>
        <source>Bring %1 into focus. %2</source>
        <translation>%1 in den Blick bringen. %2</translation>
    </message>
    <message>
        <source>Its light has a fidelity index R f of %1.</source>
        <translation>Sein Licht hat einen Treueindex R f von %1.</translation>
    </message>
    <message>
        <source>%1 cd</source>
        <translation>%1 cd</translation>
    </message>
    <message>
        <source>R_f %1</source>
        <translation>R_f %1</translation>
    </message>
    <message>
        <source>cd at full</source>
        <translation>cd voll</translation>
    </message>
    <message>
        <source>%1 sees it %2 off</source>
        <translation>%1 sieht es um %2 daneben</translation>
    </message>
    <message>
        <source>%1 does not see it</source>
        <translation>%1 sieht es nicht</translation>
    </message>
    <message>
        <source>%1 r g, exact for it</source>
        <translation>%1 r g, genau für sie</translation>
    </message>
    <message>
        <source>for %1, r g</source>
        <translation>für %1, r g</translation>
    </message>
</context>
<context>
    <name>zelo::desk::TypeEditor</name>
    <message>
        <source>Maker</source>
        <translation>Hersteller</translation>
    </message>
    <message>
        <source>Who makes it</source>
        <translation>Wer es macht</translation>
    </message>
    <message>
        <source>Spectra</source>
        <translation>Spektren</translation>
    </message>
    <message>
        <source>Each emitter at full</source>
        <translation>Jeder Emitter voll</translation>
    </message>
    <message>
        <source>Add emitter</source>
        <translation>Emitter hinzufügen</translation>
    </message>
    <message>
        <source>One more, modelled from peak and width</source>
        <translation>Einer mehr, aus Gipfel und Breite modelliert</translation>
    </message>
    <message>
        <source>Remove it</source>
        <translation>Entfernen</translation>
    </message>
    <message>
        <source>The emitter with the keyboard goes, and its channels</source>
        <translation>Der Emitter mit der Tastatur fällt weg, und seine Kanäle</translation>
    </message>
    <message>
        <source>Measured…</source>
        <translation>Gemessen …</translation>
    </message>
    <message>
        <source>Its spectrum from a file: CSV, CGATS.17 or TM-27</source>
        <translation>Sein Spektrum aus einer Datei: CSV, CGATS.17 oder TM-27</translation>
    </message>
    <message>
        <source>Done</source>
        <translation>Fertig</translation>
    </message>
    <message>
        <source>Back to the plan</source>
        <translation>Zurück zum Plan</translation>
    </message>
    <message>
        <source>Fixture type editor</source>
        <translation>Bearbeiten des Gerätetyps</translation>
    </message>
    <message>
        <source>maker</source>
        <translation>Hersteller</translation>
    </message>
    <message>
        <source>Emitters</source>
        <translation>Emitter</translation>
    </message>
    <message>
        <source>Type into a cell: a new peak, width or candela models the spectrum anew</source>
        <translation>In eine Zelle tippen: ein neuer Gipfel, Breite oder Candela modelliert das Spektrum neu</translation>
    </message>
    <message>
        <source>emitter</source>
        <translation>Emitter</translation>
    </message>
    <message>
        <source>peak nm</source>
        <translation>Gipfel nm</translation>
    </message>
    <message>
        <source>width nm</source>
        <translation>Breite nm</translation>
    </message>
    <message>
        <source>candela</source>
        <translation>Candela</translation>
    </message>
    <message>
        <source>watt</source>
        <translation>Watt</translation>
    </message>
    <message>
        <source>spectrum</source>
        <translation>Spektrum</translation>
    </message>
    <message>
        <source>Channels</source>
        <translation>Kanäle</translation>
    </message>
    <message>
        <source>Slots of the mode; home is the resting level in %</source>
        <translation>Plätze des Modus; Ruhe ist der ruhende Pegel in %</translation>
    </message>
    <message>
        <source>slots</source>
        <translation>Plätze</translation>
    </message>
    <message>
        <source>sets</source>
        <translation>setzt</translation>
    </message>
    <message>
        <source>attribute</source>
        <translation>Attribut</translation>
    </message>
    <message>
        <source>home %</source>
        <translation>Ruhe %</translation>
    </message>
    <message>
        <source>Mode</source>
        <translation>Modus</translation>
    </message>
    <message>
        <source>The mode whose channels are shown</source>
        <translation>Der Modus, dessen Kanäle gezeigt werden</translation>
    </message>
    <message>
        <source>Bits</source>
        <translation>Bits</translation>
    </message>
    <message>
        <source>How fine every channel of the mode is</source>
        <translation>Wie fein jeder Kanal des Modus ist</translation>
    </message>
    <message>
        <source>8 bit</source>
        <translation>8 Bit</translation>
    </message>
    <message>
        <source>16 bit</source>
        <translation>16 Bit</translation>
    </message>
    <message>
        <source>24 bit</source>
        <translation>24 Bit</translation>
    </message>
    <message>
        <source>Response</source>
        <translation>Kennlinie</translation>
    </message>
    <message>
        <source>How a level becomes light, in all emitters of the mode</source>
        <translation>Wie aus einem Pegel Licht wird, in allen Emittern des Modus</translation>
    </message>
    <message>
        <source>straight</source>
        <translation>gerade</translation>
    </message>
    <message>
        <source>square</source>
        <translation>quadratisch</translation>
    </message>
    <message>
        <source>as its data says</source>
        <translation>wie seine Daten</translation>
    </message>
    <message>
        <source>A measured spectrum</source>
        <translation>Ein gemessenes Spektrum</translation>
    </message>
    <message>
        <source>Spectra (*.csv *.sp *.txt *.spdx)</source>
        <translation>Spektren (*.csv *.sp *.txt *.spdx)</translation>
    </message>
    <message>
        <source>%1 bit</source>
        <translation>%1 Bit</translation>
    </message>
    <message>
        <source>%1 of %2</source>
        <translation>%1 von %2</translation>
    </message>
    <message>
        <source>measured, with droop</source>
        <translation>gemessen, mit Abfall</translation>
    </message>
    <message>
        <source>modelled</source>
        <translation>modelliert</translation>
    </message>
    <message>
        <source>from its data</source>
        <translation>aus seinen Daten</translation>
    </message>
    <message>
        <source>dimmer</source>
        <translation>Dimmer</translation>
    </message>
    <message>
        <source>“%1”: expected a number.</source>
        <translation>„%1“: erwartet eine Zahl.</translation>
    </message>
    <message>
        <source>Emitter %1</source>
        <translation>Emitter %1</translation>
    </message>
    <message>
        <source>Home must be within 0 and 100 %.</source>
        <translation>Ruhe muss zwischen 0 und 100 % liegen.</translation>
    </message>
    <message>
        <source>Home of %1</source>
        <translation>Ruhewert von %1</translation>
    </message>
    <message>
        <source>Emitter added</source>
        <translation>Emitter hinzugefügt</translation>
    </message>
    <message>
        <source>Choose an emitter first.</source>
        <translation>Erst einen Emitter wählen.</translation>
    </message>
    <message>
        <source>Emitter removed</source>
        <translation>Emitter entfernt</translation>
    </message>
    <message>
        <source>Measured spectrum of %1</source>
        <translation>Gemessenes Spektrum von %1</translation>
    </message>
    <message>
        <source>%1 slots</source>
        <translation>%1 Plätze</translation>
    </message>
</context>
<context>
    <name>zelo::desk::TypesPanel</name>
    <message>
        <source>Spectra of the type</source>
        <translation>Spektren des Typs</translation>
    </message>
    <message>
        <source>Each emitter at full</source>
        <translation>Jeder Emitter voll</translation>
    </message>
    <message>
        <source>Fixture types</source>
        <translation>Gerätetypen</translation>
    </message>
    <message>
        <source>Types</source>
        <translation>Typen</translation>
    </message>
    <message>
        <source>All fixture types at hand; Enter edits one</source>
        <translation>Alle Gerätetypen zur Hand; Enter bearbeitet einen</translation>
    </message>
    <message>
        <source>Name</source>
        <translation>Name</translation>
    </message>
    <message>
        <source>Edit</source>
        <translation>Bearbeiten</translation>
    </message>
    <message>
        <source>Emitters, channels, response and home of this type</source>
        <translation>Emitter, Kanäle, Kennlinie und Ruhe dieses Typs</translation>
    </message>
    <message>
        <source>Copy…</source>
        <translation>Kopieren …</translation>
    </message>
    <message>
        <source>A new type that begins as this one</source>
        <translation>Ein neuer Typ, der wie dieser beginnt</translation>
    </message>
    <message>
        <source>Copy</source>
        <translation>Kopieren</translation>
    </message>
    <message>
        <source>%1 copy</source>
        <translation>%1 Kopie</translation>
    </message>
    <message>
        <source>New…</source>
        <translation>Neu …</translation>
    </message>
    <message>
        <source>A type from nothing: emitters from files or by peak and width</source>
        <translation>Ein Typ aus dem Nichts: Emitter aus Dateien oder aus Gipfel und Breite</translation>
    </message>
    <message>
        <source>New fixture type</source>
        <translation>Neuer Gerätetyp</translation>
    </message>
    <message>
        <source>Read…</source>
        <translation>Lesen …</translation>
    </message>
    <message>
        <source>A type from a GDTF file; it is saved in this show</source>
        <translation>Ein Typ aus einer GDTF-Datei; er wird in dieser Show gesichert</translation>
    </message>
    <message>
        <source>Read a fixture type</source>
        <translation>Einen Gerätetyp lesen</translation>
    </message>
    <message>
        <source>GDTF (*.gdtf description.xml)</source>
        <translation>GDTF (*.gdtf description.xml)</translation>
    </message>
    <message>
        <source>Write…</source>
        <translation>Schreiben …</translation>
    </message>
    <message>
        <source>This type as a GDTF file</source>
        <translation>Dieser Typ als GDTF-Datei</translation>
    </message>
    <message>
        <source>Write the fixture type</source>
        <translation>Den Gerätetyp schreiben</translation>
    </message>
    <message>
        <source>GDTF (*.gdtf)</source>
        <translation>GDTF (*.gdtf)</translation>
    </message>
    <message>
        <source>Remove</source>
        <translation>Entfernen</translation>
    </message>
    <message>
        <source>Takes a type of this show&apos;s own away; a shipped one comes back</source>
        <translation>Nimmt einen eigenen Typ dieser Show weg; ein mitgelieferter kommt zurück</translation>
    </message>
    <message>
        <source>  (this show&apos;s)</source>
        <translation>  (dieser Show)</translation>
    </message>
    <message>
        <source>There is a fixture type “%1” already.</source>
        <translation>Es gibt schon einen Gerätetyp „%1“.</translation>
    </message>
    <message>
        <source>New fixture type %1</source>
        <translation>Neuer Gerätetyp %1</translation>
    </message>
    <message>
        <source>Copy of %1</source>
        <translation>Kopie von %1</translation>
    </message>
    <message>
        <source>Remove type %1</source>
        <translation>Typ %1 entfernen</translation>
    </message>
    <message>
        <source>Reading %1</source>
        <translation>Liest %1</translation>
    </message>
    <message>
        <source>Read %1</source>
        <translation>%1 lesen</translation>
    </message>
    <message>
        <source>Read, with notes: %1</source>
        <translation>Gelesen, mit Anmerkungen: %1</translation>
    </message>
    <message>
        <source>Writing %1</source>
        <translation>Schreibt %1</translation>
    </message>
    <message>
        <source>Written: %1</source>
        <translation>Geschrieben: %1</translation>
    </message>
    <message>
        <source>%1, %2, %3</source>
        <translation>%1, %2, %3</translation>
    </message>
    <message>
        <source>no maker</source>
        <translation>kein Hersteller</translation>
    </message>
    <message numerus="yes">
        <source>%n emitter(s)</source>
        <translation>
            <numerusform>%n Emitter</numerusform>
            <numerusform>%n Emitter</numerusform>
        </translation>
    </message>
    <message numerus="yes">
        <source>%n mode(s)</source>
        <translation>
            <numerusform>%n Modus</numerusform>
            <numerusform>%n Modi</numerusform>
        </translation>
    </message>
    <message>
        <source>none chosen</source>
        <translation>keiner gewählt</translation>
    </message>
</context>
<context>
    <name>zelo::desk::UniverseStrip</name>
    <message>
        <source>Slots of the universe</source>
        <translation>Plätze des Universums</translation>
    </message>
    <message>
        <source>Who takes which of the 512 slots; wheel or arrow keys: another universe</source>
        <translation>Wer welche der 512 Plätze hat; Rad oder Pfeiltasten: ein anderes Universum</translation>
    </message>
    <message>
        <source>Universe</source>
        <translation>Universum</translation>
    </message>
    <message>
        <source>%1 of 512 slots used</source>
        <translation>%1 von 512 Plätzen benutzt</translation>
    </message>
    <message numerus="yes">
        <source>, %n clash(es)</source>
        <translation>
            <numerusform>, %n Überschneidung</numerusform>
            <numerusform>, %n Überschneidungen</numerusform>
        </translation>
    </message>
    <message>
        <source>slots %1 to %2</source>
        <translation>Plätze %1 bis %2</translation>
    </message>
    <message>
        <source>Lamp %1</source>
        <translation>Lampe %1</translation>
    </message>
    <message>
        <source>Lamp %1, %2</source>
        <translation>Lampe %1, %2</translation>
    </message>
</context>
<context>
    <name>zelo::desk::WayList</name>
    <message>
        <source>All ways</source>
        <translation>Alle Wege</translation>
    </message>
    <message>
        <source>Every way between the two ends: how much saturation it loses, how long it is, its least light, the largest step of an emitter in 1 % of the time, and the steps a console needs for it. Press one, or arrows and Enter, to take it.</source>
        <translation>Jeder Weg zwischen den beiden Enden: wie viel Sättigung er verliert, wie lang er ist, sein wenigstes Licht, der größte Schritt eines Emitters in 1 % der Zeit und die Schritte, die ein Pult dafür braucht. Einen drücken, oder Pfeile und Enter, um ihn zu nehmen.</translation>
    </message>
    <message>
        <source>%1 %</source>
        <translation>%1 %</translation>
    </message>
    <message>
        <source>steps</source>
        <translation>Schritte</translation>
    </message>
    <message>
        <source>emitter step</source>
        <translation>Emitter</translation>
    </message>
    <message>
        <source>least light</source>
        <translation>wenigstes Licht</translation>
    </message>
    <message>
        <source>%1 cd</source>
        <translation>%1 cd</translation>
    </message>
    <message>
        <source>length</source>
        <translation>Länge</translation>
    </message>
    <message>
        <source>%1 ΔE</source>
        <translation>%1 ΔE</translation>
    </message>
    <message>
        <source>white dip</source>
        <translation>Weißloch</translation>
    </message>
</context>
<context>
    <name>zelo::rig::RigWindow</name>
    <message>
        <source>Zelochrome practice rig</source>
        <translation>Zelochrome Übungsanlage</translation>
    </message>
    <message>
        <source>Practice rig</source>
        <translation>Übungsanlage</translation>
    </message>
    <message>
        <source>Simulated lamps: what a real rig would show of what is sent</source>
        <translation>Simulierte Lampen: was eine echte Anlage vom Gesendeten zeigen würde</translation>
    </message>
    <message>
        <source>%1 lamps, 127.0.0.1:%2, %3 packets</source>
        <translation>%1 Lampen, 127.0.0.1:%2, %3 Pakete</translation>
    </message>
</context>
</TS>
