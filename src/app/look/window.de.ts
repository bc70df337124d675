<?xml version="1.0" encoding="utf-8"?>
<!DOCTYPE TS>
<TS version="2.1" language="de">
<context>
    <name>CheckActions</name>
    <message>
        <source>Channels</source>
        <translation>Kanäle</translation>
    </message>
    <message>
        <source>The control channels below the curves</source>
        <translation>Die Kontrollkanäle unter den Kurven</translation>
    </message>
    <message>
        <source>Time</source>
        <translation>Zeit</translation>
    </message>
    <message>
        <source>The pull over time below the curves, or its channels</source>
        <translation>Der Lauf über der Zeit unter den Kurven, oder seine Kanäle</translation>
    </message>
    <message>
        <source>Numbers</source>
        <translation>Zahlen</translation>
    </message>
    <message>
        <source>Numbers of all pulls shown, at the cursor</source>
        <translation>Zahlen aller gezeigten Läufe, am Zeiger</translation>
    </message>
    <message>
        <source>Raw</source>
        <translation>Roh</translation>
    </message>
    <message>
        <source>The rows as recorded, or the smoothed curve</source>
        <translation>Die Zeilen, wie aufgezeichnet, oder die geglättete Kurve</translation>
    </message>
    <message>
        <source>Hold beside</source>
        <translation>Danebenhalten</translation>
    </message>
    <message>
        <source>Keep this pull beside the next one you select, or let go of it</source>
        <translation>Hält diesen Lauf neben den nächsten, der gewählt wird, oder lässt ihn los</translation>
    </message>
    <message>
        <source>Set aside</source>
        <translation>Beiseitelegen</translation>
    </message>
    <message>
        <source>Leave this pull out with a reason, or take it back</source>
        <translation>Lässt diesen Lauf mit einem Grund weg, oder nimmt ihn zurück</translation>
    </message>
    <message>
        <source>Undo trim</source>
        <translation>Schnitt aufheben</translation>
    </message>
    <message>
        <source>Let the program find the range again</source>
        <translation>Lässt das Programm den Bereich neu suchen</translation>
    </message>
    <message>
        <source>On a board, at the cursor: the pull begins or ends there</source>
        <translation>Auf einer Tafel, am Zeiger: der Lauf beginnt oder endet dort</translation>
    </message>
    <message>
        <source>Check</source>
        <translation>Prüfen</translation>
    </message>
    <message>
        <source>Look at each pull</source>
        <translation>Jeden Lauf ansehen</translation>
    </message>
    <message>
        <source>Fitted again</source>
        <translation>Neu angebaut</translation>
    </message>
    <message>
        <source>Before this pull its build was taken off and fitted again: a new set begins with it. Once more takes it back</source>
        <translation>Vor diesem Lauf wurde sein Stand ab- und wieder angebaut: mit ihm beginnt ein neuer Satz. Noch einmal nimmt es zurück</translation>
    </message>
</context>
<context>
    <name>CompareActions</name>
    <message>
        <source>Swap</source>
        <translation>Tauschen</translation>
    </message>
    <message>
        <source>Swap the two builds</source>
        <translation>Die beiden Stände tauschen</translation>
    </message>
    <message>
        <source>Take the band out</source>
        <translation>Den Bereich herausnehmen</translation>
    </message>
    <message>
        <source>The selected band of the table of bands</source>
        <translation>Der gewählte Bereich in der Tabelle der Bereiche</translation>
    </message>
    <message>
        <source>On a board, at the cursor: a band begins or ends there</source>
        <translation>Auf einer Tafel, am Zeiger: ein Bereich beginnt oder endet dort</translation>
    </message>
    <message>
        <source>On a board: the build to look at</source>
        <translation>Auf einer Tafel: der Stand, der angesehen wird</translation>
    </message>
    <message>
        <source>Compare</source>
        <translation>Vergleichen</translation>
    </message>
    <message>
        <source>What the change gives</source>
        <translation>Was die Änderung bringt</translation>
    </message>
    <message>
        <source>Field</source>
        <translation>Feld</translation>
    </message>
    <message>
        <source>All builds held against each other, or the pair alone</source>
        <translation>Alle Stände gegeneinander, oder nur das Paar</translation>
    </message>
    <message>
        <source>Small boards</source>
        <translation>Kleine Tafeln</translation>
    </message>
    <message>
        <source>In the field: one board for all builds, or a small one for each</source>
        <translation>Im Feld: eine Tafel für alle Stände, oder eine kleine für jeden</translation>
    </message>
    <message>
        <source>Use the whole range</source>
        <translation>Den ganzen Bereich nutzen</translation>
    </message>
    <message>
        <source>The builds are wanted for all that every pull covers</source>
        <translation>Die Stände werden für alles gebraucht, was jeder Lauf abdeckt</translation>
    </message>
    <message>
        <source>On the ribbon ladder: the build to look at</source>
        <translation>Auf der Bänderleiter: der Stand, der angesehen wird</translation>
    </message>
    <message>
        <source>On the ribbon ladder: that build and the base as a pair</source>
        <translation>Auf der Bänderleiter: dieser Stand und die Basis als Paar</translation>
    </message>
    <message>
        <source>Over power</source>
        <translation>Über Leistung</translation>
    </message>
    <message>
        <source>Another curve stands above power, in place of above its difference</source>
        <translation>Eine andere Kurve steht über der Leistung statt über ihrem Unterschied</translation>
    </message>
    <message>
        <source>Other days</source>
        <translation>Andere Tage</translation>
    </message>
    <message>
        <source>A build of an earlier day held against one of today&apos;s, or the pair alone</source>
        <translation>Ein Stand eines früheren Tages gegen einen heutigen, oder nur das Paar</translation>
    </message>
    <message>
        <source>Take it away</source>
        <translation>Wegnehmen</translation>
    </message>
    <message>
        <source>The build of another day that is shown</source>
        <translation>Den gezeigten Stand eines anderen Tages</translation>
    </message>
</context>
<context>
    <name>CreditActions</name>
    <message>
        <source>Each step between two builds that were run</source>
        <translation>Jede Stufe zwischen zwei Ständen, die gefahren wurden</translation>
    </message>
    <message>
        <source>Each part on the base alone</source>
        <translation>Jedes Teil allein auf der Basis</translation>
    </message>
    <message>
        <source>Each part on all the others</source>
        <translation>Jedes Teil auf allen anderen</translation>
    </message>
    <message>
        <source>Each part&apos;s mean step over all orders of fitting them: these add up to the whole</source>
        <translation>Der mittlere Schritt jedes Teils über alle Reihenfolgen des Anbaus: diese ergeben zusammen das Ganze</translation>
    </message>
    <message>
        <source>The part to look at</source>
        <translation>Das Teil, das angesehen wird</translation>
    </message>
    <message>
        <source>Credit</source>
        <translation>Anteile</translation>
    </message>
    <message>
        <source>What each part gives</source>
        <translation>Was jedes Teil bringt</translation>
    </message>
    <message>
        <source>Together, along rpm</source>
        <translation>Zusammen, über der Drehzahl</translation>
    </message>
    <message>
        <source>What the chosen part and others give together beyond each by itself, along rpm; once more for the next, then back</source>
        <translation>Was das gewählte Teil und andere zusammen über jedes für sich hinaus geben, über der Drehzahl; noch einmal für das nächste, dann zurück</translation>
    </message>
    <message>
        <source>Over days</source>
        <translation>Über Tage</translation>
    </message>
    <message>
        <source>This article&apos;s builds of all days as one ladder, or the day&apos;s own parts</source>
        <translation>Die Stände dieses Prüflings aus allen Tagen als eine Leiter, oder die Teile des Tages selbst</translation>
    </message>
</context>
<context>
    <name>Link</name>
    <message>
        <source>Telemetry, TCP</source>
        <translation>Telemetrie, TCP</translation>
    </message>
    <message>
        <source>Telemetry, serial</source>
        <translation>Telemetrie, seriell</translation>
    </message>
    <message>
        <source>Weather NMEA, TCP</source>
        <translation>Wetter NMEA, TCP</translation>
    </message>
    <message>
        <source>Weather NMEA, serial</source>
        <translation>Wetter NMEA, seriell</translation>
    </message>
    <message>
        <source>Modbus TCP</source>
        <translation>Modbus TCP</translation>
    </message>
</context>
<context>
    <name>PrepareActions</name>
    <message>
        <source>Planned pull: earlier</source>
        <translation>Geplanter Lauf: früher</translation>
    </message>
    <message>
        <source>Planned pull: later</source>
        <translation>Geplanter Lauf: später</translation>
    </message>
    <message>
        <source>Planned pull: another one like it</source>
        <translation>Geplanter Lauf: noch einer davon</translation>
    </message>
    <message>
        <source>Planned pull: take it out</source>
        <translation>Geplanter Lauf: herausnehmen</translation>
    </message>
    <message>
        <source>Day, cell and article …</source>
        <translation>Tag, Prüfstand und Prüfling …</translation>
    </message>
    <message>
        <source>What is on the dyno, and on which</source>
        <translation>Was auf dem Prüfstand steht, und auf welchem</translation>
    </message>
    <message>
        <source>On the order of the pulls: the one before or after</source>
        <translation>In der Reihenfolge der Läufe: der davor oder danach</translation>
    </message>
    <message>
        <source>Prepare</source>
        <translation>Planen</translation>
    </message>
    <message>
        <source>Plan the day</source>
        <translation>Den Tag planen</translation>
    </message>
</context>
<context>
    <name>Program</name>
    <message>
        <source>What did this part do, and can I believe it?</source>
        <translation>Was hat dieses Teil gebracht, und darf ich es glauben?</translation>
    </message>
    <message>
        <source>Day folder or package to open, or logger files to import; paths or file:// addresses.</source>
        <translation>Ordner oder Paket eines Tages zum Öffnen, oder Logger-Dateien zum Übernehmen; Pfade oder file://-Adressen.</translation>
    </message>
    <message>
        <source>Pull to select.</source>
        <translation>Lauf, der gewählt wird.</translation>
    </message>
    <message>
        <source>Check: hold this pull beside it.</source>
        <translation>Prüfen: diesen Lauf danebenhalten.</translation>
    </message>
    <message>
        <source>Run this command once the day is there, such as check.time; may be repeated.</source>
        <translation>Diesen Befehl ausführen, sobald der Tag da ist, etwa check.time; mehrfach möglich.</translation>
    </message>
    <message>
        <source>Open the import dialog with this file; may be repeated.</source>
        <translation>Das Übernahmefenster mit dieser Datei öffnen; mehrfach möglich.</translation>
    </message>
    <message>
        <source>Listen to this address in place of the kept connections; may be repeated.</source>
        <translation>Diese Adresse statt der gesicherten Verbindungen hören; mehrfach möglich.</translation>
    </message>
    <message>
        <source>Record the first pull that comes.</source>
        <translation>Den ersten Lauf aufzeichnen, der kommt.</translation>
    </message>
    <message>
        <source>Dark colours.</source>
        <translation>Dunkle Farben.</translation>
    </message>
    <message>
        <source>Window size, such as 1280x800.</source>
        <translation>Fenstergröße, etwa 1280x800.</translation>
    </message>
    <message>
        <source>Write a picture of the window and end.</source>
        <translation>Ein Bild des Fensters schreiben und enden.</translation>
    </message>
    <message>
        <source>With --picture: wait so long before, seconds.</source>
        <translation>Mit --picture: so lange vorher warten, Sekunden.</translation>
    </message>
    <message>
        <source>With --picture: keep the window up.</source>
        <translation>Mit --picture: das Fenster offen lassen.</translation>
    </message>
    <message>
        <source>Page to show: prepare, pull, check, compare, credit, road, report, logbook or bench.</source>
        <translation>Seite, die gezeigt wird: prepare, pull, check, compare, credit, road, report, logbook oder bench.</translation>
    </message>
</context>
<context>
    <name>PullActions</name>
    <message>
        <source>The pull is kept in memory and in its journal, but could not be saved</source>
        <translation>Der Lauf ist im Speicher und in seinem Journal aufgehoben, ließ sich aber nicht sichern</translation>
    </message>
    <message>
        <source>%1 belongs to a day that is no longer open</source>
        <translation>%1 gehört zu einem Tag, der nicht mehr offen ist</translation>
    </message>
    <message>
        <source>It is kept, and offered when that day is opened again.</source>
        <translation>Er ist aufgehoben und wird angeboten, wenn jener Tag geöffnet wird.</translation>
    </message>
    <message>
        <source>Arm</source>
        <translation>Scharf</translation>
    </message>
    <message>
        <source>Record the next pull by itself, or stop doing so</source>
        <translation>Zeichnet den nächsten Lauf von selbst auf, oder lässt es</translation>
    </message>
    <message>
        <source>Disarm</source>
        <translation>Unscharf</translation>
    </message>
    <message>
        <source>Start by hand</source>
        <translation>Handstart</translation>
    </message>
    <message>
        <source>Begin or end a recording by hand</source>
        <translation>Beginnt oder beendet eine Aufzeichnung von Hand</translation>
    </message>
    <message>
        <source>End by hand</source>
        <translation>Handstopp</translation>
    </message>
    <message>
        <source>Begin a day here</source>
        <translation>Hier einen Tag beginnen</translation>
    </message>
    <message>
        <source>A new day among your days, to pull into at once</source>
        <translation>Ein neuer Tag unter den eigenen, um sofort hineinzufahren</translation>
    </message>
    <message>
        <source>Change build</source>
        <translation>Stand wechseln</translation>
    </message>
    <message>
        <source>Another build is fitted: note what was done</source>
        <translation>Ein anderer Stand ist eingebaut: notieren, was getan wurde</translation>
    </message>
    <message>
        <source>Keep</source>
        <translation>Behalten</translation>
    </message>
    <message>
        <source>The pull is good</source>
        <translation>Der Lauf ist gut</translation>
    </message>
    <message>
        <source>Set aside</source>
        <translation>Beiseitelegen</translation>
    </message>
    <message>
        <source>Leave the pull of the slip out, with a reason</source>
        <translation>Den Lauf des Zettels mit Grund weglassen</translation>
    </message>
    <message>
        <source>Connections …</source>
        <translation>Verbindungen …</translation>
    </message>
    <message>
        <source>The cell and the weather station</source>
        <translation>Der Prüfstand und die Wetterstation</translation>
    </message>
    <message>
        <source>Pull</source>
        <translation>Fahren</translation>
    </message>
    <message>
        <source>Run the pulls, live</source>
        <translation>Die Läufe fahren, mit Anzeige</translation>
    </message>
    <message>
        <source>Change the limits</source>
        <translation>Grenzen ändern</translation>
    </message>
    <message>
        <source>Limits …</source>
        <translation>Grenzen …</translation>
    </message>
    <message>
        <source>What is watched while a pull runs</source>
        <translation>Was während eines Laufs überwacht wird</translation>
    </message>
    <message>
        <source>When a limit is passed: it was seen</source>
        <translation>Wenn eine Grenze überschritten ist: gesehen</translation>
    </message>
</context>
<context>
    <name>QDialog</name>
    <message>
        <source>Close</source>
        <translation>Schließen</translation>
    </message>
</context>
<context>
    <name>QObject</name>
    <message>
        <source>%1: nothing</source>
        <translation>%1: nichts</translation>
    </message>
    <message>
        <source>%1 at %2</source>
        <translation>%1 bei %2</translation>
    </message>
    <message>
        <source>%1: begins %2, highest %3, lowest %4, ends %5</source>
        <translation>%1: beginnt %2, höchstens %3, mindestens %4, endet %5</translation>
    </message>
    <message>
        <source>the curve</source>
        <translation>die Kurve</translation>
    </message>
    <message>
        <source>%1 from %2 to %3</source>
        <translation>%1 von %2 bis %3</translation>
    </message>
    <message>
        <source>cursor: %1</source>
        <translation>Zeiger: %1</translation>
    </message>
    <message>
        <source>nothing to show</source>
        <translation>nichts zu zeigen</translation>
    </message>
    <message>
        <source>%1, from %2</source>
        <translation>%1, von %2</translation>
    </message>
    <message>
        <source>pull at %1 rpm</source>
        <translation>Lauf bei %1 rpm</translation>
    </message>
    <message>
        <source>power, %1 %2</source>
        <translation>Leistung, %1 %2</translation>
    </message>
    <message>
        <source>torque, %1</source>
        <translation>Drehmoment, %1</translation>
    </message>
    <message>
        <source>from %1, %</source>
        <translation>zu %1, %</translation>
    </message>
    <message>
        <source>at %1 rpm</source>
        <translation>bei %1 rpm</translation>
    </message>
    <message>
        <source>%1 %2, %3</source>
        <translation>%1 %2, %3</translation>
    </message>
    <message>
        <source>Power</source>
        <translation>Leistung</translation>
    </message>
    <message>
        <source>Torque</source>
        <translation>Drehmoment</translation>
    </message>
    <message>
        <source> · %1 as recorded, corrected, not smoothed</source>
        <translation> · %1 wie aufgezeichnet, korrigiert, nicht geglättet</translation>
    </message>
    <message>
        <source> · pulls of build %1, shaded: where 19 of 20 lie</source>
        <translation> · Läufe von Stand %1, schattiert: wo 19 von 20 liegen</translation>
    </message>
    <message>
        <source>Each pull against the mean of build %1, %</source>
        <translation>Jeder Lauf gegen das Mittel von Stand %1, %</translation>
    </message>
    <message>
        <source>%1 against %2, %</source>
        <translation>%1 gegen %2, %</translation>
    </message>
    <message>
        <source>Torque as recorded, %1</source>
        <translation>Drehmoment wie aufgezeichnet, %1</translation>
    </message>
    <message>
        <source>Torque referred to the engine, row by row, %1</source>
        <translation>Drehmoment auf den Motor bezogen, Zeile für Zeile, %1</translation>
    </message>
    <message>
        <source>No rows over time: %1</source>
        <translation>Keine Zeilen über der Zeit: %1</translation>
    </message>
    <message>
        <source>Engine speed, rpm</source>
        <translation>Motordrehzahl, rpm</translation>
    </message>
    <message>
        <source>Select a pull.</source>
        <translation>Einen Lauf wählen.</translation>
    </message>
    <message>
        <source>%1 · build %2</source>
        <translation>%1 · Stand %2</translation>
    </message>
    <message>
        <source> · air factor %1</source>
        <translation> · Luftfaktor %1</translation>
    </message>
    <message>
        <source> · roughness %1&#xa0;%</source>
        <translation> · Rauheit %1&#xa0;%</translation>
    </message>
    <message>
        <source>Trimmed: %1, %2 to %3 s.</source>
        <translation>Beschnitten: %1, %2 bis %3 s.</translation>
    </message>
    <message>
        <source>%1 held speeds.</source>
        <translation>%1 gehaltene Drehzahlen.</translation>
    </message>
    <message>
        <source>Engine over %1 speed %2.</source>
        <translation>Motor zu %1: %2.</translation>
    </message>
    <message>
        <source>roller</source>
        <translation>Rolle</translation>
    </message>
    <message>
        <source>wheel</source>
        <translation>Rad</translation>
    </message>
    <message>
        <source>Power %1: measured at the %2, losses added.</source>
        <translation>Leistung %1: gemessen an: %2, Verluste hinzugezählt.</translation>
    </message>
    <message>
        <source>Left out: %1</source>
        <translation>Weggelassen: %1</translation>
    </message>
    <message>
        <source>Does not look like the others: %1</source>
        <translation>Gleicht den anderen nicht: %1</translation>
    </message>
    <message>
        <source>best pull, without an interval</source>
        <translation>bester Lauf, ohne Intervall</translation>
    </message>
    <message>
        <source>median pull, without an interval</source>
        <translation>mittlerer Lauf, ohne Intervall</translation>
    </message>
    <message>
        <source>last pull, without an interval</source>
        <translation>letzter Lauf, ohne Intervall</translation>
    </message>
    <message>
        <source>mean of the pulls</source>
        <translation>Mittel der Läufe</translation>
    </message>
    <message>
        <source>%1 %2, %3 · %4</source>
        <translation>%1 %2, %3 · %4</translation>
    </message>
    <message>
        <source>Difference %1 − %2, %3 %4</source>
        <translation>Unterschied %1 − %2, %3 %4</translation>
    </message>
    <message>
        <source> · band: 95&#xa0;% for the whole curve</source>
        <translation> · Band: 95&#xa0;% für die ganze Kurve</translation>
    </message>
    <message>
        <source> · a curve only: no band</source>
        <translation> · nur eine Kurve: kein Band</translation>
    </message>
    <message>
        <source> · not separable from drift</source>
        <translation> · von Drift nicht zu trennen</translation>
    </message>
    <message>
        <source>Peak power  %1</source>
        <translation>Spitzenleistung  %1</translation>
    </message>
    <message>
        <source>Peak torque  %1</source>
        <translation>Spitzendrehmoment  %1</translation>
    </message>
    <message>
        <source>Peak power moves  %1</source>
        <translation>Spitzenleistung verschiebt sich  %1</translation>
    </message>
    <message>
        <source>Some pull still rises where it ends: raise the end speed by 100 rpm.</source>
        <translation>Ein Lauf steigt noch, wo er endet: die Enddrehzahl um 100 rpm heben.</translation>
    </message>
    <message>
        <source>The lines do not clearly cross.</source>
        <translation>Die Linien kreuzen sich nicht deutlich.</translation>
    </message>
    <message>
        <source>The lines cross at %1 rpm</source>
        <translation>Die Linien kreuzen sich bei %1 rpm</translation>
    </message>
    <message>
        <source> and </source>
        <translation> und </translation>
    </message>
    <message>
        <source>gain</source>
        <translation>Gewinn</translation>
    </message>
    <message>
        <source>loss</source>
        <translation>Verlust</translation>
    </message>
    <message>
        <source>cannot tell</source>
        <translation>nicht zu sagen</translation>
    </message>
    <message>
        <source>No change noted: say in the day what differs.</source>
        <translation>Keine Änderung notiert: im Tag angeben, was anders ist.</translation>
    </message>
    <message>
        <source>%1 changes together; the effect is joint</source>
        <translation>%1 Änderungen zusammen; die Wirkung ist gemeinsam</translation>
    </message>
    <message>
        <source>Power was measured at different places: the difference holds the losses between</source>
        <translation>Die Leistung wurde an verschiedenen Orten gemessen: der Unterschied enthält die Verluste dazwischen</translation>
    </message>
    <message>
        <source>%1 was recorded in one build only</source>
        <translation>%1 wurde nur bei einem Stand aufgezeichnet</translation>
    </message>
    <message>
        <source>%1 differs by %2 %3 (tolerance %4)</source>
        <translation>%1 weicht um %2 %3 ab (Toleranz %4)</translation>
    </message>
    <message>
        <source>Like for like: %1 checks matched; %2 moved with what was changed, as it must</source>
        <translation>Gleiche Bedingungen: %1 Prüfungen stimmen; %2 ging mit der Änderung mit, wie es muss</translation>
    </message>
    <message>
        <source>Nothing else was recorded to compare.</source>
        <translation>Sonst wurde nichts aufgezeichnet, was zu vergleichen wäre.</translation>
    </message>
    <message>
        <source>Like for like: all %1 checks matched</source>
        <translation>Gleiche Bedingungen: alle %1 Prüfungen stimmen</translation>
    </message>
    <message>
        <source>Left out: %1 (%2), %3</source>
        <translation>Weggelassen: %1 (%2), %3</translation>
    </message>
    <message>
        <source>Look at %1 (%2): %3</source>
        <translation>%1 ansehen (%2): %3</translation>
    </message>
    <message>
        <source>No pull was left out.</source>
        <translation>Kein Lauf wurde weggelassen.</translation>
    </message>
    <message>
        <source>Type what both marks of the right axis say.</source>
        <translation>Eintippen, was beide Marken der rechten Achse sagen.</translation>
    </message>
    <message>
        <source>Type what the marks of the axes say.</source>
        <translation>Eintippen, was die Marken der Achsen sagen.</translation>
    </message>
    <message>
        <source>Both marks of an axis say the same: one must be higher.</source>
        <translation>Beide Marken einer Achse sagen dasselbe: eine muss höher sein.</translation>
    </message>
    <message>
        <source>Two marks of one axis lie close together: set one further out.</source>
        <translation>Zwei Marken einer Achse liegen dicht beisammen: eine weiter hinaus setzen.</translation>
    </message>
    <message>
        <source>The axes run along each other: set their marks again.</source>
        <translation>Die Achsen laufen aneinander entlang: ihre Marken neu setzen.</translation>
    </message>
    <message>
        <source>speed axis</source>
        <translation>Drehzahlachse</translation>
    </message>
    <message>
        <source>right axis</source>
        <translation>rechte Achse</translation>
    </message>
    <message>
        <source>left axis</source>
        <translation>linke Achse</translation>
    </message>
    <message>
        <source>Click where the %1 says %2.</source>
        <translation>Dorthin klicken, wo (%1) %2 steht.</translation>
    </message>
    <message>
        <source>Click a low mark of the %1, then type what it says.</source>
        <translation>Eine niedrige Marke anklicken (%1), dann eintippen, was sie sagt.</translation>
    </message>
    <message>
        <source>Click a high mark of the %1, then type what it says.</source>
        <translation>Eine hohe Marke anklicken (%1), dann eintippen, was sie sagt.</translation>
    </message>
    <message>
        <source>Click along the line of %1. Click a point again to take it away.</source>
        <translation>Entlang der Linie von %1 klicken. Noch einmal auf einen Punkt klicken nimmt ihn weg.</translation>
    </message>
    <message>
        <source>Click where the line of %1 is to end.</source>
        <translation>Dorthin klicken, wo die Linie von %1 enden soll.</translation>
    </message>
    <message>
        <source>Click on the line of %1.</source>
        <translation>Auf die Linie von %1 klicken.</translation>
    </message>
    <message>
        <source>Look whether the line of %1 is followed right; click a stretch that is missing.</source>
        <translation>Ansehen, ob der Linie von %1 richtig gefolgt wird; ein fehlendes Stück anklicken.</translation>
    </message>
    <message>
        <source>Set the marks of the axes first.</source>
        <translation>Zuerst die Marken der Achsen setzen.</translation>
    </message>
    <message>
        <source>No line is traced yet.</source>
        <translation>Noch ist keine Linie nachgezeichnet.</translation>
    </message>
    <message>
        <source>Say which build each line belongs to.</source>
        <translation>Angeben, zu welchem Stand jede Linie gehört.</translation>
    </message>
    <message>
        <source>%1: %2</source>
        <translation>%1: %2</translation>
    </message>
    <message>
        <source>Take %1 kPa for %2</source>
        <translation>%1 kPa für %2 nehmen</translation>
    </message>
    <message>
        <source>The mean of the pulls before and after it</source>
        <translation>Das Mittel der Läufe davor und danach</translation>
    </message>
    <message>
        <source>Take station pressure for %1</source>
        <translation>Druck am Ort für %1 nehmen</translation>
    </message>
    <message>
        <source>The pressure at the cell&apos;s altitude that belongs to each figure, %1 kPa for the first</source>
        <translation>Der Druck auf der Höhe des Prüfstands, der zu jedem Wert gehört, %1 kPa für den ersten</translation>
    </message>
    <message>
        <source>Set %1 aside</source>
        <translation>%1 beiseitelegen</translation>
    </message>
    <message>
        <source>Leave it out of the sums with this reason; Ctrl+Z takes it back</source>
        <translation>Mit diesem Grund aus der Rechnung lassen; Strg+Z nimmt es zurück</translation>
    </message>
    <message>
        <source>rough near %1: kinks of %2 that the others do not have</source>
        <translation>rau bei %1: Knicke von %2, die die anderen nicht haben</translation>
    </message>
    <message>
        <source>lies %1 off its set as a whole</source>
        <translation>liegt als Ganzes %1 neben seiner Serie</translation>
    </message>
    <message>
        <source>bends away near %1 by %2</source>
        <translation>biegt bei %1 um %2 weg</translation>
    </message>
    <message>
        <source>the two pulls disagree: take another, then look again</source>
        <translation>die beiden Läufe widersprechen sich: noch einen machen, dann neu ansehen</translation>
    </message>
    <message>
        <source>engine brake</source>
        <translation>Motorbremse</translation>
    </message>
    <message>
        <source>hub brake</source>
        <translation>Nabenbremse</translation>
    </message>
    <message>
        <source>chassis rollers</source>
        <translation>Rollenbremse</translation>
    </message>
    <message>
        <source>inertia rollers</source>
        <translation>Schwungrollen</translation>
    </message>
    <message>
        <source>crank</source>
        <translation>Kurbelwelle</translation>
    </message>
    <message>
        <source>hub</source>
        <translation>Nabe</translation>
    </message>
    <message>
        <source>petrol</source>
        <translation>Benzin</translation>
    </message>
    <message>
        <source>diesel</source>
        <translation>Diesel</translation>
    </message>
    <message>
        <source>alcohol</source>
        <translation>Alkohol</translation>
    </message>
    <message>
        <source>gas</source>
        <translation>Gas</translation>
    </message>
    <message>
        <source>other fuel</source>
        <translation>anderer Kraftstoff</translation>
    </message>
    <message>
        <source>naturally aspirated</source>
        <translation>Saugmotor</translation>
    </message>
    <message>
        <source>turbocharged</source>
        <translation>Turbolader</translation>
    </message>
    <message>
        <source>supercharged</source>
        <translation>Kompressor</translation>
    </message>
    <message>
        <source>%1, carried to the %2 by coast-down</source>
        <translation>%1, bis %2 gerechnet durch Ausrollen</translation>
    </message>
    <message>
        <source>%1, carried to the %2 by %3 %</source>
        <translation>%1, bis %2 gerechnet mit %3 %</translation>
    </message>
    <message>
        <source>measured at the %1</source>
        <translation>gemessen an: %1</translation>
    </message>
    <message>
        <source>%1 cc</source>
        <translation>%1 cm³</translation>
    </message>
    <message>
        <source>stated %1 kW</source>
        <translation>angegeben %1 kW</translation>
    </message>
    <message>
        <source>octane %1</source>
        <translation>Oktan %1</translation>
    </message>
    <message>
        <source>batch %1</source>
        <translation>Charge %1</translation>
    </message>
    <message>
        <source>nitrous</source>
        <translation>Lachgas</translation>
    </message>
    <message>
        <source>%1 kg</source>
        <translation>%1 kg</translation>
    </message>
    <message>
        <source>gears %1</source>
        <translation>Gänge %1</translation>
    </message>
    <message>
        <source>final drive %1</source>
        <translation>Achse %1</translation>
    </message>
    <message>
        <source>red line %1 rpm</source>
        <translation>Höchstdrehzahl %1 rpm</translation>
    </message>
    <message>
        <source>%1 min</source>
        <translation>%1 min</translation>
    </message>
    <message>
        <source>%1 h %2 min</source>
        <translation>%1 h %2 min</translation>
    </message>
    <message>
        <source>%1: %2&#xa0;km/h</source>
        <translation>%1: %2&#xa0;km/⁠h</translation>
    </message>
    <message>
        <source>from %1</source>
        <translation>ab %1</translation>
    </message>
    <message>
        <source>up to %1</source>
        <translation>bis %1</translation>
    </message>
    <message>
        <source>Cool-down</source>
        <translation>Abkühlen</translation>
    </message>
    <message>
        <source>over</source>
        <translation>vorbei</translation>
    </message>
    <message>
        <source>Weather</source>
        <translation>Wetter</translation>
    </message>
    <message>
        <source>15 min at most</source>
        <translation>höchstens 15 min</translation>
    </message>
    <message>
        <source>none</source>
        <translation>keine</translation>
    </message>
    <message>
        <source>%1 old</source>
        <translation>%1 alt</translation>
    </message>
    <message>
        <source>%1 s</source>
        <translation>%1 s</translation>
    </message>
    <message>
        <source>%1 h</source>
        <translation>%1 h</translation>
    </message>
    <message>
        <source>Wait: %1 %2</source>
        <translation>Warten: %1 %2</translation>
    </message>
    <message>
        <source>%1 not known</source>
        <translation>%1 nicht bekannt</translation>
    </message>
    <message>
        <source>Ready</source>
        <translation>Bereit</translation>
    </message>
    <message>
        <source>%1, %2 · as measured, not corrected</source>
        <translation>%1, %2 · wie gemessen, nicht korrigiert</translation>
    </message>
    <message>
        <source> · dashed: last good pull of %1</source>
        <translation> · gestrichelt: letzter guter Lauf von %1</translation>
    </message>
    <message>
        <source>s</source>
        <translation>s</translation>
    </message>
    <message>
        <source>Engine speed, rpm · the last minute</source>
        <translation>Motordrehzahl, rpm · die letzte Minute</translation>
    </message>
    <message>
        <source>%1, %2 · as measured, the last minute</source>
        <translation>%1, %2 · wie gemessen, die letzte Minute</translation>
    </message>
    <message>
        <source> and %1 more</source>
        <translation> und %1 weitere</translation>
    </message>
    <message>
        <source>%1 of build %2, %3 s%4</source>
        <translation>%1 von Stand %2, %3 s%4</translation>
    </message>
    <message>
        <source>recovered from its journal</source>
        <translation>aus seinem Journal gerettet</translation>
    </message>
    <message>
        <source>An altimeter setting needs the altitude of the cell.</source>
        <translation>Eine Höhenmessereinstellung braucht die Höhe des Prüfstands.</translation>
    </message>
    <message>
        <source>Station pressure %1 kPa</source>
        <translation>Druck am Ort %1 kPa</translation>
    </message>
    <message>
        <source>Vapour pressure %1 kPa, %2 % humid</source>
        <translation>Dampfdruck %1 kPa, %2 % feucht</translation>
    </message>
    <message>
        <source>Dry pressure %1 kPa</source>
        <translation>Trockendruck %1 kPa</translation>
    </message>
    <message>
        <source>Density %1 kg/m³</source>
        <translation>Dichte %1 kg/m³</translation>
    </message>
    <message>
        <source>Density altitude %1 m</source>
        <translation>Dichtehöhe %1 m</translation>
    </message>
    <message>
        <source>Its own range: %1.</source>
        <translation>Eigener Bereich: %1.</translation>
    </message>
    <message>
        <source>No range of validity is recalled.</source>
        <translation>Kein Gültigkeitsbereich bekannt.</translation>
    </message>
    <message>
        <source>Full form with the measured friction.</source>
        <translation>Volle Form mit der gemessenen Reibung.</translation>
    </message>
    <message>
        <source>One reading wrong moves the power by: 1 K too warm %1, 1 kPa too high %2, ten points of humidity too many %3.</source>
        <translation>Eine falsche Ablesung verschiebt die Leistung: 1 K zu warm um %1, 1 kPa zu hoch um %2, zehn Punkte Feuchte zu viel um %3.</translation>
    </message>
    <message>
        <source>Station pressure, kPa</source>
        <translation>Druck am Ort, kPa</translation>
    </message>
    <message>
        <source>Vapour pressure, kPa</source>
        <translation>Dampfdruck, kPa</translation>
    </message>
    <message>
        <source>Air factor</source>
        <translation>Luftfaktor</translation>
    </message>
    <message>
        <source>Pull against the mean of its build, %: pale as observed, full after the factor</source>
        <translation>Lauf gegen das Mittel seines Stands, %: blass wie gemessen, kräftig nach dem Faktor</translation>
    </message>
    <message>
        <source>No pull of this day has its weather yet.</source>
        <translation>Noch hat kein Lauf dieses Tages sein Wetter.</translation>
    </message>
    <message>
        <source>Every figure: %1.</source>
        <translation>Jeder Wert: %1.</translation>
    </message>
    <message>
        <source>Pulls of one build scatter by %1&#xa0;% as observed and by %2&#xa0;% after the factor%3.</source>
        <translation>Läufe eines Stands streuen wie gemessen um %1&#xa0;% und nach dem Faktor um %2&#xa0;%%3.</translation>
    </message>
    <message>
        <source>: here it does not help; look at the school and the readings</source>
        <translation>: hier hilft er nicht; Schule und Ablesungen ansehen</translation>
    </message>
    <message>
        <source>: it helps</source>
        <translation>: er hilft</translation>
    </message>
    <message>
        <source>Without weather: %1.</source>
        <translation>Ohne Wetter: %1.</translation>
    </message>
    <message>
        <source>%1 kPa</source>
        <translation>%1 kPa</translation>
    </message>
    <message>
        <source>%1 % humidity</source>
        <translation>%1 % Feuchte</translation>
    </message>
    <message>
        <source>no weather in them</source>
        <translation>kein Wetter darin</translation>
    </message>
    <message>
        <source>Not connected: %1.</source>
        <translation>Nicht verbunden: %1.</translation>
    </message>
    <message>
        <source>Connecting …</source>
        <translation>Wird verbunden …</translation>
    </message>
    <message>
        <source>Connected, but nothing that can be used has come.</source>
        <translation>Verbunden, aber nichts Brauchbares ist gekommen.</translation>
    </message>
    <message>
        <source>%1 channels at %2 frames/s: %3.</source>
        <translation>%1 Kanäle mit %2 Zeilen/s: %3.</translation>
    </message>
    <message>
        <source>%1 sentences: %2.</source>
        <translation>%1 Sätze: %2.</translation>
    </message>
    <message>
        <source>%1 answers: %2; %3.</source>
        <translation>%1 Antworten: %2; %3.</translation>
    </message>
    <message>
        <source> %1 could not be used, last: %2.</source>
        <translation> %1 waren nicht zu brauchen, zuletzt: %2.</translation>
    </message>
    <message>
        <source>%1&#xa0;(too&#xa0;fast)</source>
        <translation>%1&#xa0;(zu&#xa0;schnell)</translation>
    </message>
    <message>
        <source>Temperature at the intake, °C</source>
        <translation>Temperatur an der Ansaugung, °C</translation>
    </message>
    <message>
        <source>%1 °C</source>
        <translation>%1 °C</translation>
    </message>
    <message>
        <source>steady</source>
        <translation>gleichmäßig</translation>
    </message>
    <message>
        <source>cautious</source>
        <translation>vorsichtig</translation>
    </message>
    <message>
        <source>jumps</source>
        <translation>springend</translation>
    </message>
    <message>
        <source>Mean of the pulls</source>
        <translation>Mittel der Läufe</translation>
    </message>
    <message>
        <source>Best pull</source>
        <translation>Bester Lauf</translation>
    </message>
    <message>
        <source>Median pull</source>
        <translation>Mittlerer Lauf</translation>
    </message>
    <message>
        <source>Last settled pull</source>
        <translation>Letzter ruhiger Lauf</translation>
    </message>
    <message>
        <source>two pitches in turn</source>
        <translation>zwei Töne im Wechsel</translation>
    </message>
    <message>
        <source>one steady pitch</source>
        <translation>ein gleichbleibender Ton</translation>
    </message>
    <message>
        <source>quick beeps</source>
        <translation>schnelle Piepser</translation>
    </message>
    <message>
        <source>OIL</source>
        <translation>ÖL</translation>
    </message>
    <message>
        <source>COOLANT</source>
        <translation>KÜHLMITTEL</translation>
    </message>
    <message>
        <source>EXHAUST</source>
        <translation>ABGAS</translation>
    </message>
    <message>
        <source>FUEL</source>
        <translation>KRAFTSTOFF</translation>
    </message>
    <message>
        <source>KNOCK</source>
        <translation>KLOPFEN</translation>
    </message>
    <message>
        <source>LEAN</source>
        <translation>MAGER</translation>
    </message>
    <message>
        <source>RICH</source>
        <translation>FETT</translation>
    </message>
    <message>
        <source>BOOST</source>
        <translation>LADEDRUCK</translation>
    </message>
    <message>
        <source>cannot tell yet</source>
        <translation>noch nicht zu sagen</translation>
    </message>
    <message>
        <source>base</source>
        <translation>Basis</translation>
    </message>
    <message>
        <source>%1 or %2</source>
        <translation>%1 oder %2</translation>
    </message>
    <message>
        <source>No order can be told: the pulls do not cover the use, or none is repeated. Widen the use, or make a second pull of a build.</source>
        <translation>Keine Reihenfolge ist zu sagen: Die Läufe decken die Nutzung nicht ab, oder keiner ist wiederholt. Nehmen Sie den ganzen Bereich, oder machen Sie einen zweiten Lauf eines Standes.</translation>
    </message>
    <message>
        <source>%1 over %2 for the use</source>
        <translation>%1 über %2 für die Nutzung</translation>
    </message>
    <message>
        <source>%1 with the luck of the winner taken off</source>
        <translation>%1, das Glück des Siegers abgezogen</translation>
    </message>
    <message>
        <source>Taking it gives away %1&#xa0;% at most</source>
        <translation>Wer ihn nimmt, verschenkt höchstens %1&#xa0;%</translation>
    </message>
    <message>
        <source>Chance of being the best: %1&#xa0;%</source>
        <translation>Aussicht, der beste zu sein: %1&#xa0;%</translation>
    </message>
    <message>
        <source>the use</source>
        <translation>Nutzung</translation>
    </message>
    <message>
        <source>The field holds three builds and more against each other. Builds with pulls in use here: %1.</source>
        <translation>Das Feld stellt drei Stände und mehr gegeneinander. Stände mit gültigen Läufen hier: %1.</translation>
    </message>
    <message>
        <source>%1 to %2</source>
        <translation>%1 bis %2</translation>
    </message>
    <message>
        <source>as run</source>
        <translation>wie gefahren</translation>
    </message>
    <message>
        <source>alone</source>
        <translation>allein</translation>
    </message>
    <message>
        <source>on top of all</source>
        <translation>auf allem</translation>
    </message>
    <message>
        <source>fair share</source>
        <translation>gerechter Anteil</translation>
    </message>
    <message>
        <source>together</source>
        <translation>zusammen</translation>
    </message>
    <message>
        <source>%1&#xa0;% of the whole</source>
        <translation>%1&#xa0;% vom Ganzen</translation>
    </message>
    <message>
        <source>gives away %1&#xa0;% at most</source>
        <translation>verschenkt höchstens %1&#xa0;%</translation>
    </message>
    <message>
        <source>%1, %2: gain by speed, %3 %4</source>
        <translation>%1, %2: Gewinn nach Drehzahl, %3 %4</translation>
    </message>
    <message>
        <source>%1: gain for the use over %2, % · band: 95&#xa0;%</source>
        <translation>%1: Gewinn für die Nutzung über %2, % · Band: 95&#xa0;%</translation>
    </message>
    <message>
        <source>the best lies here</source>
        <translation>hier liegt das Beste</translation>
    </message>
    <message>
        <source>Best %1 by speed%2 · band: 95&#xa0;% at each speed</source>
        <translation>Bestes nach Drehzahl: %1%2 · Band: 95&#xa0;% bei jeder Drehzahl</translation>
    </message>
    <message>
        <source>Working the day out …</source>
        <translation>Der Tag wird ausgewertet …</translation>
    </message>
    <message>
        <source>Nothing to give credit for yet: %1.</source>
        <translation>Noch nichts zuzuschreiben: %1.</translation>
    </message>
    <message>
        <source>fair shares within the declared bound of %1&#xa0;%</source>
        <translation>gerechte Anteile innerhalb der erklärten Grenze von %1&#xa0;%</translation>
    </message>
    <message>
        <source>fair shares only if interactions that were not run are nil</source>
        <translation>gerechte Anteile nur, wenn nicht gefahrene Wechselwirkungen null sind</translation>
    </message>
    <message>
        <source>From %1 to %2 it gives away no more than 0.5&#xa0;%</source>
        <translation>Von %1 bis %2 verschenkt es nicht mehr als 0,5&#xa0;%</translation>
    </message>
    <message>
        <source>One step more beyond %1 gives %2&#xa0;% at most, if each step gives less than the one before</source>
        <translation>Eine Stufe über %1 hinaus bringt höchstens %2&#xa0;%, wenn jede Stufe weniger bringt als die davor</translation>
    </message>
    <message>
        <source>alone %1</source>
        <translation>allein %1</translation>
    </message>
    <message>
        <source>on top of all %1</source>
        <translation>auf allem %1</translation>
    </message>
    <message>
        <source>each %1 of an interaction that was not run moves its fair share by up to %2</source>
        <translation>je %1 einer nicht gefahrenen Wechselwirkung verschiebt den gerechten Anteil um bis zu %2</translation>
    </message>
    <message>
        <source>%1 together beyond each by itself: %2</source>
        <translation>%1 zusammen über jedes für sich hinaus: %2</translation>
    </message>
    <message>
        <source>more</source>
        <translation>mehr</translation>
    </message>
    <message>
        <source>less</source>
        <translation>weniger</translation>
    </message>
    <message>
        <source>Difference %1 − %2</source>
        <translation>Unterschied %1 − %2</translation>
    </message>
    <message>
        <source>Answer</source>
        <translation>Antwort</translation>
    </message>
    <message>
        <source>Use: %1</source>
        <translation>Nutzung: %1</translation>
    </message>
    <message>
        <source>%1: nothing to hold against each other yet.</source>
        <translation>%1: noch nichts, was gegeneinander zu halten wäre.</translation>
    </message>
    <message>
        <source>%1 against %2 on average over %3 rpm: %4.</source>
        <translation>%1 gegen %2 im Mittel über %3 rpm: %4.</translation>
    </message>
    <message>
        <source>%1 together beyond each by itself, % · band: 95&#xa0;% over all interactions</source>
        <translation>%1 zusammen über jedes für sich hinaus, % · Band: 95&#xa0;% über alle Wechselwirkungen</translation>
    </message>
    <message>
        <source>Factor over temperature</source>
        <translation>Faktor über Temperatur</translation>
    </message>
    <message>
        <source>Factor over station pressure</source>
        <translation>Faktor über Stationsdruck</translation>
    </message>
    <message>
        <source>Factor over relative humidity</source>
        <translation>Faktor über relativer Feuchte</translation>
    </message>
    <message>
        <source>Reference build against the mean of its runs, %</source>
        <translation>Referenzstand gegen das Mittel seiner Läufe, %</translation>
    </message>
    <message>
        <source>moved since %1</source>
        <translation>verschoben seit %1</translation>
    </message>
    <message>
        <source>Sums of the control chart: above 4 look at the dyno, above 5 it has moved</source>
        <translation>Summen der Regelkarte: über 4 nach dem Prüfstand sehen, über 5 hat er sich verschoben</translation>
    </message>
    <message>
        <source>run</source>
        <translation>Lauf</translation>
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
        <source>No day of a cell is in the logbook yet. Days enter when they are saved.</source>
        <translation>Noch ist kein Tag eines Prüfstands im Logbuch. Tage kommen hinein, wenn sie gesichert werden.</translation>
    </message>
    <message>
        <source>No build has run on enough days yet to watch the dyno by it.</source>
        <translation>Noch lief kein Stand an genug Tagen, um den Prüfstand daran zu beobachten.</translation>
    </message>
    <message>
        <source>The dyno is steady: its reference build has not moved.</source>
        <translation>Der Prüfstand ist ruhig: sein Referenzstand hat sich nicht verschoben.</translation>
    </message>
    <message>
        <source> · %1: %2</source>
        <translation> · %1: %2</translation>
    </message>
    <message>
        <source>Difference %1 − %2, %</source>
        <translation>Unterschied %1 − %2, %</translation>
    </message>
    <message>
        <source>all of it</source>
        <translation>alles</translation>
    </message>
    <message>
        <source>%1 over %2</source>
        <translation>%1 über %2</translation>
    </message>
    <message>
        <source>Against %1: plan a build that differs from it.</source>
        <translation>Gegen %1: einen Stand planen, der sich von ihm unterscheidet.</translation>
    </message>
    <message>
        <source>%1 against %2: nothing joins them, no interval. Run %2 again first and last: ± %3 %.</source>
        <translation>%1 gegen %2: Nichts verbindet sie, kein Intervall. %2 noch einmal zuerst und zuletzt gefahren: ± %3 %.</translation>
    </message>
    <message>
        <source>%1 against %2: nothing joins them, no interval.</source>
        <translation>%1 gegen %2: Nichts verbindet sie, kein Intervall.</translation>
    </message>
    <message>
        <source>%1 against %2: ± %3 %.</source>
        <translation>%1 gegen %2: ± %3 %.</translation>
    </message>
    <message>
        <source> Run %1 again first and last: ± %2 %.</source>
        <translation> %1 noch einmal zuerst und zuletzt gefahren: ± %2 %.</translation>
    </message>
    <message>
        <source>%1→%2 %3</source>
        <translation>%1→%2 %3</translation>
    </message>
    <message>
        <source>Shift %1 at rpm: %2</source>
        <translation>Schalten %1 bei rpm: %2</translation>
    </message>
    <message>
        <source>Speed, km/h · the gears of %1</source>
        <translation>Geschwindigkeit, km/h · die Gänge von %1</translation>
    </message>
    <message>
        <source>%1 later than %2, s · band: 95&#xa0;% at each place</source>
        <translation>%1 später als %2, s · Band: 95&#xa0;% an jeder Stelle</translation>
    </message>
    <message>
        <source>Whole way</source>
        <translation>Ganzer Weg</translation>
    </message>
    <message>
        <source>At its end</source>
        <translation>Am Ende</translation>
    </message>
    <message>
        <source>load cell %1</source>
        <translation>Kraftmessdose %1</translation>
    </message>
    <message>
        <source>station %1</source>
        <translation>Station %1</translation>
    </message>
    <message>
        <source>Power, %1</source>
        <translation>Leistung, %1</translation>
    </message>
    <message>
        <source>held</source>
        <translation>gehalten</translation>
    </message>
    <message>
        <source>Power held</source>
        <translation>Gehaltene Leistung</translation>
    </message>
    <message>
        <source>Shown off the straight line over what was hung, N·m</source>
        <translation>Abweichung der Anzeige von der Geraden über der Last, N·m</translation>
    </message>
    <message>
        <source>zero: %1%2&#xa0;N·m</source>
        <translation>Nullpunkt: %1%2&#xa0;N·m</translation>
    </message>
    <message>
        <source>zero came back within %1</source>
        <translation>Nullpunkt kam bis auf %1 wieder</translation>
    </message>
    <message>
        <source>off the straight line: at most %1&#xa0;% of the highest</source>
        <translation>neben der Geraden: höchstens %1&#xa0;% des höchsten</translation>
    </message>
    <message>
        <source>coming down against going up: %1&#xa0;%</source>
        <translation>abwärts gegen aufwärts: %1&#xa0;%</translation>
    </message>
    <message>
        <source>Top speed · gear</source>
        <translation>V max · Gang</translation>
    </message>
    <message>
        <source>undated</source>
        <translation>ohne Datum</translation>
    </message>
    <message>
        <source>Untitled day</source>
        <translation>Tag ohne Namen</translation>
    </message>
</context>
<context>
    <name>ReportActions</name>
    <message>
        <source>Print …</source>
        <translation>Drucken …</translation>
    </message>
    <message>
        <source>The sheet on paper</source>
        <translation>Das Blatt auf Papier</translation>
    </message>
    <message>
        <source>Print to PDF …</source>
        <translation>Als PDF drucken …</translation>
    </message>
    <message>
        <source>The sheet as PDF</source>
        <translation>Das Blatt als PDF</translation>
    </message>
    <message>
        <source>Print to PDF</source>
        <translation>Als PDF drucken</translation>
    </message>
    <message>
        <source>PDF (*.pdf)</source>
        <translation>PDF (*.pdf)</translation>
    </message>
    <message>
        <source>Table as CSV …</source>
        <translation>Tabelle als CSV …</translation>
    </message>
    <message>
        <source>Curves and differences as a table</source>
        <translation>Kurven und Unterschiede als Tabelle</translation>
    </message>
    <message>
        <source>Write a table</source>
        <translation>Tabelle schreiben</translation>
    </message>
    <message>
        <source>Table (*.csv)</source>
        <translation>Tabelle (*.csv)</translation>
    </message>
    <message>
        <source>Report</source>
        <translation>Blatt</translation>
    </message>
    <message>
        <source>The sheet as it will print</source>
        <translation>Das Blatt, wie es gedruckt wird</translation>
    </message>
    <message>
        <source>Page for a browser …</source>
        <translation>Seite für einen Browser …</translation>
    </message>
    <message>
        <source>The sheets as one file that any browser and telephone reads</source>
        <translation>Die Blätter als eine Datei, die jeder Browser und jedes Telefon liest</translation>
    </message>
    <message>
        <source>Write a page for a browser</source>
        <translation>Eine Seite für einen Browser schreiben</translation>
    </message>
    <message>
        <source>Page for a browser (*.html)</source>
        <translation>Seite für einen Browser (*.html)</translation>
    </message>
    <message>
        <source>Drawings …</source>
        <translation>Zeichnungen …</translation>
    </message>
    <message>
        <source>The sheets as drawings (SVG), one a page</source>
        <translation>Die Blätter als Zeichnungen (SVG), eine je Seite</translation>
    </message>
    <message>
        <source>Write drawings</source>
        <translation>Zeichnungen schreiben</translation>
    </message>
    <message>
        <source>Drawing (*.svg)</source>
        <translation>Zeichnung (*.svg)</translation>
    </message>
</context>
<context>
    <name>hillrun::AboutDialog</name>
    <message>
        <source>About Hill Run</source>
        <translation>Über Hill Run</translation>
    </message>
    <message>
        <source>Hill Run %1</source>
        <translation>Hill Run %1</translation>
    </message>
    <message>
        <source>What did this part do, and can I believe it? Pulls of a dyno, corrected, averaged, compared.</source>
        <translation>Was hat dieses Teil gebracht, und darf ich es glauben? Läufe eines Leistungsprüfstands, korrigiert, gemittelt, verglichen.</translation>
    </message>
    <message>
        <source>Copyright 2026 The Hill Run developers. Free software under the GNU General Public License, version 3 only; it comes without any warranty.</source>
        <translation>Copyright 2026 die Entwickler von Hill Run. Freie Software unter der GNU General Public License, nur Version 3; ohne jede Gewähr.</translation>
    </message>
    <message>
        <source>It stands on Qt (LGPL 3), QCustomPlot (GPL 3), Eigen (MPL 2), Boost (Boost licence), fmt (MIT), cairo (LGPL 2.1), libarchive (BSD), pugixml (MIT), poppler (GPL 2 or 3), fast_float and JSON for Modern C++ (MIT). The type is B612 (Open Font License).</source>
        <translation>Es steht auf Qt (LGPL 3), QCustomPlot (GPL 3), Eigen (MPL 2), Boost (Boost-Lizenz), fmt (MIT), cairo (LGPL 2.1), libarchive (BSD), pugixml (MIT), poppler (GPL 2 oder 3), fast_float und JSON for Modern C++ (MIT). Die Schrift ist B612 (Open Font License).</translation>
    </message>
    <message>
        <source>Hill Run records and advises. It is no safety device and never drives a brake: guards, extraction, extinguisher, the cell&apos;s own rules, local codes and licensed practice go first.</source>
        <translation>Hill Run zeichnet auf und berät. Es ist keine Sicherheitseinrichtung und steuert nie eine Bremse: Schutz, Absaugung, Löscher, die Regeln des Prüfstands, örtliche Vorschriften und fachkundige Praxis gehen vor.</translation>
    </message>
</context>
<context>
    <name>hillrun::AirPanel</name>
    <message>
        <source>Condition</source>
        <translation>Zustand</translation>
    </message>
    <message>
        <source>Take the weather of a pull</source>
        <translation>Wetter eines Laufs nehmen</translation>
    </message>
    <message>
        <source>Fill in the weather of a pull, and the day&apos;s article</source>
        <translation>Trägt das Wetter eines Laufs und den Prüfling des Tages ein</translation>
    </message>
    <message>
        <source>Temperature at the intake</source>
        <translation>Temperatur an der Ansaugung</translation>
    </message>
    <message>
        <source>Which pressure</source>
        <translation>Welcher Druck</translation>
    </message>
    <message>
        <source>Station pressure</source>
        <translation>Druck am Ort</translation>
    </message>
    <message>
        <source>Altimeter setting</source>
        <translation>Höhenmessereinstellung</translation>
    </message>
    <message>
        <source>The QNH of an airfield or weather service; not a pressure reduced with the real temperature</source>
        <translation>Das QNH eines Flugplatzes oder Wetterdienstes; kein mit der wirklichen Temperatur umgerechneter Druck</translation>
    </message>
    <message>
        <source>Pressure</source>
        <translation>Druck</translation>
    </message>
    <message>
        <source>Altitude of the cell</source>
        <translation>Höhe des Prüfstands</translation>
    </message>
    <message>
        <source>Which humidity</source>
        <translation>Welche Feuchte</translation>
    </message>
    <message>
        <source>Relative humidity</source>
        <translation>Relative Feuchte</translation>
    </message>
    <message>
        <source>Dew point</source>
        <translation>Taupunkt</translation>
    </message>
    <message>
        <source>Wet bulb, ventilated</source>
        <translation>Feuchtkugel, belüftet</translation>
    </message>
    <message>
        <source>Vapour pressure</source>
        <translation>Dampfdruck</translation>
    </message>
    <message>
        <source>Humidity</source>
        <translation>Feuchte</translation>
    </message>
    <message>
        <source>Write this weather into the selected pull; Ctrl+Z takes it back</source>
        <translation>Schreibt dieses Wetter in den gewählten Lauf; Strg+Z nimmt es zurück</translation>
    </message>
    <message>
        <source>To all without</source>
        <translation>Allen ohne Wetter</translation>
    </message>
    <message>
        <source>Write this weather into every pull that has none; Ctrl+Z takes it back</source>
        <translation>Schreibt dieses Wetter in jeden Lauf, der keins hat; Strg+Z nimmt es zurück</translation>
    </message>
    <message>
        <source>Engine</source>
        <translation>Motor</translation>
    </message>
    <message>
        <source>Ignition</source>
        <translation>Zündung</translation>
    </message>
    <message>
        <source>spark</source>
        <translation>Funke</translation>
    </message>
    <message>
        <source>compression</source>
        <translation>Selbstzünder</translation>
    </message>
    <message>
        <source>Charging</source>
        <translation>Aufladung</translation>
    </message>
    <message>
        <source>natural</source>
        <translation>Saugmotor</translation>
    </message>
    <message>
        <source>turbocharged</source>
        <translation>Turbolader</translation>
    </message>
    <message>
        <source>supercharged</source>
        <translation>Kompressor</translation>
    </message>
    <message>
        <source>Boosted engines</source>
        <translation>Aufgeladene Motoren</translation>
    </message>
    <message>
        <source>Mechanical efficiency</source>
        <translation>Mechanischer Wirkungsgrad</translation>
    </message>
    <message>
        <source>Friction power</source>
        <translation>Reibleistung</translation>
    </message>
    <message>
        <source>Observed power at that speed</source>
        <translation>Gemessene Leistung bei dieser Drehzahl</translation>
    </message>
    <message>
        <source>Fuel a litre and cycle</source>
        <translation>Kraftstoff je Liter und Spiel</translation>
    </message>
    <message>
        <source>Boost pressure ratio</source>
        <translation>Ladedruckverhältnis</translation>
    </message>
    <message>
        <source>Charge is cooled by</source>
        <translation>Ladung gekühlt durch</translation>
    </message>
    <message>
        <source>nothing</source>
        <translation>nichts</translation>
    </message>
    <message>
        <source>air</source>
        <translation>Luft</translation>
    </message>
    <message>
        <source>liquid</source>
        <translation>Flüssigkeit</translation>
    </message>
    <message>
        <source>Friction power, measured</source>
        <translation>Reibleistung, gemessen</translation>
    </message>
    <message>
        <source>at this observed power</source>
        <translation>bei dieser gemessenen Leistung</translation>
    </message>
    <message>
        <source>Diesel: fuel a litre and cycle</source>
        <translation>Diesel: Kraftstoff je Liter und Spiel</translation>
    </message>
    <message>
        <source>Boosted: air factor</source>
        <translation>Aufgeladen: Luftfaktor</translation>
    </message>
    <message>
        <source>Boost is held absolute</source>
        <translation>Ladedruck wird absolut gehalten</translation>
    </message>
    <message>
        <source>All standards for this condition</source>
        <translation>Alle Normen für diesen Zustand</translation>
    </message>
    <message>
        <source>typed by hand</source>
        <translation>von Hand eingegeben</translation>
    </message>
    <message>
        <source>as for %1</source>
        <translation>wie bei %1</translation>
    </message>
    <message>
        <source>Give it to %1</source>
        <translation>%1 geben</translation>
    </message>
    <message>
        <source>Give it to a pull</source>
        <translation>Einem Lauf geben</translation>
    </message>
    <message>
        <source>Give the weather to all pulls without</source>
        <translation>Das Wetter allen Läufen ohne geben</translation>
    </message>
    <message>
        <source>Give the weather to %1</source>
        <translation>Das Wetter %1 geben</translation>
    </message>
</context>
<context>
    <name>hillrun::AirTable</name>
    <message>
        <source>no factor</source>
        <translation>kein Faktor</translation>
    </message>
    <message>
        <source>outside its range</source>
        <translation>außerhalb seines Bereichs</translation>
    </message>
    <message>
        <source>look at the reading</source>
        <translation>Ablesung prüfen</translation>
    </message>
    <message>
        <source>no range known</source>
        <translation>unbekannt</translation>
    </message>
    <message>
        <source>in range</source>
        <translation>im Bereich</translation>
    </message>
    <message>
        <source>standard</source>
        <translation>Norm</translation>
    </message>
    <message>
        <source>factor</source>
        <translation>Faktor</translation>
    </message>
    <message>
        <source>on power</source>
        <translation>auf Leistung</translation>
    </message>
    <message>
        <source>by pressure</source>
        <translation>durch Druck</translation>
    </message>
    <message>
        <source>by humidity</source>
        <translation>durch Feuchte</translation>
    </message>
    <message>
        <source>by temperature</source>
        <translation>durch Temperatur</translation>
    </message>
    <message>
        <source>says</source>
        <translation>sagt</translation>
    </message>
</context>
<context>
    <name>hillrun::AlarmPanel</name>
    <message>
        <source>Limit passed</source>
        <translation>Grenze überschritten</translation>
    </message>
    <message>
        <source>Close the throttle. %1.</source>
        <translation>Gas schließen. %1.</translation>
    </message>
    <message>
        <source>Close the throttle</source>
        <translation>Gas schließen</translation>
    </message>
    <message>
        <source>%1: limit %2</source>
        <translation>%1: Grenze %2</translation>
    </message>
    <message>
        <source>Hill Run is no safety device. Space or a touch: seen.</source>
        <translation>Hill Run ist keine Sicherheitseinrichtung. Leertaste oder Berührung: gesehen.</translation>
    </message>
</context>
<context>
    <name>hillrun::ArticleDialog</name>
    <message>
        <source>Day, cell and article</source>
        <translation>Tag, Prüfstand und Prüfling</translation>
    </message>
    <message>
        <source>Take over</source>
        <translation>Übernehmen</translation>
    </message>
    <message>
        <source>Write rpm:kW, each speed once, such as 2500:3.1, 4500:7.0</source>
        <translation>Drehzahl:kW schreiben, jede Drehzahl einmal, etwa 2500:3,1; 4500:7,0</translation>
    </message>
    <message>
        <source>Write the ratios with blanks between, such as 3.4 2.05 1.36</source>
        <translation>Die Übersetzungen mit Leerzeichen schreiben, etwa 3,4 2,05 1,36</translation>
    </message>
    <message>
        <source>Go back</source>
        <translation>Zurück</translation>
    </message>
    <message>
        <source>Day: the question</source>
        <translation>Tag: die Frage</translation>
    </message>
    <message>
        <source>Name of the day</source>
        <translation>Name des Tages</translation>
    </message>
    <message>
        <source>Operator</source>
        <translation>Prüfer</translation>
    </message>
    <message>
        <source>Note</source>
        <translation>Notiz</translation>
    </message>
    <message>
        <source>Cell</source>
        <translation>Prüfstand</translation>
    </message>
    <message>
        <source>Name of the cell</source>
        <translation>Name des Prüfstands</translation>
    </message>
    <message>
        <source>Kind</source>
        <translation>Art</translation>
    </message>
    <message>
        <source>Kind of dyno</source>
        <translation>Art des Prüfstands</translation>
    </message>
    <message>
        <source>Power is measured at the</source>
        <translation>Leistung gemessen an</translation>
    </message>
    <message>
        <source>Measured at</source>
        <translation>Gemessen an</translation>
    </message>
    <message>
        <source>Sweep</source>
        <translation>Ablauf</translation>
    </message>
    <message>
        <source>up</source>
        <translation>hoch</translation>
    </message>
    <message>
        <source>down</source>
        <translation>runter</translation>
    </message>
    <message>
        <source>held steps</source>
        <translation>gehaltene Stufen</translation>
    </message>
    <message>
        <source>Altitude of the cell</source>
        <translation>Höhe des Prüfstands</translation>
    </message>
    <message>
        <source>Altitude</source>
        <translation>Höhe</translation>
    </message>
    <message>
        <source>Speed limit of the rollers</source>
        <translation>Geschwindigkeitsgrenze der Rollen</translation>
    </message>
    <message>
        <source>Roller limit</source>
        <translation>Rollengrenze</translation>
    </message>
    <message>
        <source>Inertia of the rollers</source>
        <translation>Trägheit der Rollen</translation>
    </message>
    <message>
        <source>Roller inertia</source>
        <translation>Rollenträgheit</translation>
    </message>
    <message>
        <source>Radius of the rollers</source>
        <translation>Radius der Rollen</translation>
    </message>
    <message>
        <source>Roller radius</source>
        <translation>Rollenradius</translation>
    </message>
    <message>
        <source>Article</source>
        <translation>Prüfling</translation>
    </message>
    <message>
        <source>Name of the article</source>
        <translation>Name des Prüflings</translation>
    </message>
    <message>
        <source>Displacement</source>
        <translation>Hubraum</translation>
    </message>
    <message>
        <source>Cylinders</source>
        <translation>Zylinder</translation>
    </message>
    <message>
        <source>Piston stroke</source>
        <translation>Kolbenhub</translation>
    </message>
    <message>
        <source>Working cycle</source>
        <translation>Arbeitsweise</translation>
    </message>
    <message>
        <source>Strokes</source>
        <translation>Takte</translation>
    </message>
    <message>
        <source>four-stroke</source>
        <translation>Viertakt</translation>
    </message>
    <message>
        <source>two-stroke</source>
        <translation>Zweitakt</translation>
    </message>
    <message>
        <source>Ignition</source>
        <translation>Zündung</translation>
    </message>
    <message>
        <source>spark</source>
        <translation>Funke</translation>
    </message>
    <message>
        <source>compression</source>
        <translation>Selbstzünder</translation>
    </message>
    <message>
        <source>Charging</source>
        <translation>Aufladung</translation>
    </message>
    <message>
        <source>Stated power</source>
        <translation>Angegebene Leistung</translation>
    </message>
    <message>
        <source>Red line</source>
        <translation>Höchstdrehzahl</translation>
    </message>
    <message>
        <source>Limiter</source>
        <translation>Begrenzer</translation>
    </message>
    <message>
        <source>Inertia of engine, flywheel, clutch</source>
        <translation>Trägheit von Motor, Schwungrad, Kupplung</translation>
    </message>
    <message>
        <source>Engine inertia</source>
        <translation>Motorträgheit</translation>
    </message>
    <message>
        <source>Fuel</source>
        <translation>Kraftstoff</translation>
    </message>
    <message>
        <source>Its name</source>
        <translation>Sein Name</translation>
    </message>
    <message>
        <source>Name of the fuel</source>
        <translation>Name des Kraftstoffs</translation>
    </message>
    <message>
        <source>Octane</source>
        <translation>Oktan</translation>
    </message>
    <message>
        <source>Batch</source>
        <translation>Charge</translation>
    </message>
    <message>
        <source>Batch of the fuel</source>
        <translation>Charge des Kraftstoffs</translation>
    </message>
    <message>
        <source>Nitrous fitted</source>
        <translation>Lachgas eingebaut</translation>
    </message>
    <message>
        <source>Mass of the vehicle</source>
        <translation>Masse des Fahrzeugs</translation>
    </message>
    <message>
        <source>Mass</source>
        <translation>Masse</translation>
    </message>
    <message>
        <source>Tyre radius</source>
        <translation>Reifenradius</translation>
    </message>
    <message>
        <source>Final drive</source>
        <translation>Achsübersetzung</translation>
    </message>
    <message>
        <source>Gear ratios, first gear first</source>
        <translation>Gangübersetzungen, erster Gang zuerst</translation>
    </message>
    <message>
        <source>Gear ratios</source>
        <translation>Gangübersetzungen</translation>
    </message>
    <message>
        <source>Speed limiter</source>
        <translation>Begrenzer km/h</translation>
    </message>
    <message>
        <source>Tyre speed limit</source>
        <translation>Geschwindigkeitsgrenze der Reifen</translation>
    </message>
    <message>
        <source>Tyre limit</source>
        <translation>Reifengrenze</translation>
    </message>
    <message>
        <source>Inertia of wheels and driveline</source>
        <translation>Trägheit von Rädern und Antriebsstrang</translation>
    </message>
    <message>
        <source>Driveline inertia, at wheel speed</source>
        <translation>Trägheit des Antriebsstrangs, am Rad</translation>
    </message>
    <message>
        <source>Boosted: air factor</source>
        <translation>Aufgeladen: Luftfaktor</translation>
    </message>
    <message>
        <source>Boosted engines</source>
        <translation>Aufgeladene Motoren</translation>
    </message>
    <message>
        <source>Boost is held absolute</source>
        <translation>Ladedruck wird absolut gehalten</translation>
    </message>
    <message>
        <source>The controller holds the manifold pressure whatever the air outside</source>
        <translation>Das Steuergerät hält den Saugrohrdruck, wie die Luft draußen auch ist</translation>
    </message>
    <message>
        <source>Mechanical efficiency</source>
        <translation>Mechanischer Wirkungsgrad</translation>
    </message>
    <message>
        <source>Friction power, rpm:kW</source>
        <translation>Reibleistung, Drehzahl:kW</translation>
    </message>
    <message>
        <source>Friction power</source>
        <translation>Reibleistung</translation>
    </message>
    <message>
        <source>2500:3.1, 4500:7.0</source>
        <translation>2500:3,1; 4500:7,0</translation>
    </message>
    <message>
        <source>Diesel: fuel a litre and cycle</source>
        <translation>Diesel: Kraftstoff je Liter und Spiel</translation>
    </message>
    <message>
        <source>Fuel a litre and cycle</source>
        <translation>Kraftstoff je Liter und Spiel</translation>
    </message>
    <message>
        <source>Boost pressure ratio</source>
        <translation>Ladedruckverhältnis</translation>
    </message>
    <message>
        <source>Charge is cooled by</source>
        <translation>Ladung gekühlt durch</translation>
    </message>
    <message>
        <source>Charge cooling</source>
        <translation>Ladeluftkühlung</translation>
    </message>
    <message>
        <source>nothing</source>
        <translation>nichts</translation>
    </message>
    <message>
        <source>air</source>
        <translation>Luft</translation>
    </message>
    <message>
        <source>liquid</source>
        <translation>Flüssigkeit</translation>
    </message>
    <message>
        <source>Carry power towards the engine</source>
        <translation>Leistung zum Motor hin rechnen</translation>
    </message>
    <message>
        <source>Losses on the way</source>
        <translation>Verluste unterwegs</translation>
    </message>
    <message>
        <source>no, as measured</source>
        <translation>nein, wie gemessen</translation>
    </message>
    <message>
        <source>by coast-down (estimate)</source>
        <translation>durch Ausrollen (Schätzung)</translation>
    </message>
    <message>
        <source>by a percentage (crude)</source>
        <translation>durch einen Prozentsatz (grob)</translation>
    </message>
    <message>
        <source>Lost on the way</source>
        <translation>Unterwegs verloren</translation>
    </message>
    <message>
        <source>Up to the</source>
        <translation>Bis zu</translation>
    </message>
    <message>
        <source>crank</source>
        <translation>Kurbelwelle</translation>
    </message>
    <message>
        <source>hub</source>
        <translation>Nabe</translation>
    </message>
</context>
<context>
    <name>hillrun::ArticlePanel</name>
    <message>
        <source>Article and cell</source>
        <translation>Prüfling und Prüfstand</translation>
    </message>
    <message>
        <source>Cards</source>
        <translation>Karten</translation>
    </message>
    <message>
        <source>Articles kept for other days</source>
        <translation>Prüflinge, für andere Tage aufgehoben</translation>
    </message>
    <message>
        <source>Edit …</source>
        <translation>Bearbeiten …</translation>
    </message>
    <message>
        <source>Name, cell, engine, fuel, vehicle</source>
        <translation>Name, Prüfstand, Motor, Kraftstoff, Fahrzeug</translation>
    </message>
    <message>
        <source>What is on the dyno?</source>
        <translation>Was steht auf dem Prüfstand?</translation>
    </message>
    <message>
        <source>Take the article from its card</source>
        <translation>Den Prüfling von seiner Karte nehmen</translation>
    </message>
    <message>
        <source>This card could not be read</source>
        <translation>Diese Karte ließ sich nicht lesen</translation>
    </message>
    <message>
        <source>Keep this article as a card</source>
        <translation>Diesen Prüfling als Karte aufheben</translation>
    </message>
    <message>
        <source>The card could not be kept</source>
        <translation>Die Karte ließ sich nicht aufheben</translation>
    </message>
    <message>
        <source>Change the article</source>
        <translation>Prüfling ändern</translation>
    </message>
</context>
<context>
    <name>hillrun::BandModel</name>
    <message>
        <source>Added by you. Delete removes it.</source>
        <translation>Von Hand hinzugefügt. Entf nimmt ihn weg.</translation>
    </message>
    <message>
        <source>Always shown: the whole common range, then its thirds.</source>
        <translation>Immer gezeigt: der ganze gemeinsame Bereich, dann seine Drittel.</translation>
    </message>
    <message>
        <source>from–to, rpm</source>
        <translation>von–bis, rpm</translation>
    </message>
    <message>
        <source>difference</source>
        <translation>Unterschied</translation>
    </message>
    <message>
        <source>share</source>
        <translation>Anteil</translation>
    </message>
    <message>
        <source>says</source>
        <translation>sagt</translation>
    </message>
</context>
<context>
    <name>hillrun::BenchPage</name>
    <message>
        <source>Air</source>
        <translation>Luft</translation>
    </message>
    <message>
        <source>One condition under every standard</source>
        <translation>Ein Zustand nach jeder Norm</translation>
    </message>
    <message>
        <source>Weather of the day</source>
        <translation>Wetter des Tages</translation>
    </message>
    <message>
        <source>What the weather did, against the pulls</source>
        <translation>Was das Wetter tat, gegen die Läufe</translation>
    </message>
    <message>
        <source>Bench</source>
        <translation>Werkbank</translation>
    </message>
    <message>
        <source>Gears, rollers, units</source>
        <translation>Gänge, Rollen, Einheiten</translation>
    </message>
    <message>
        <source>Road speed in each gear, inertia of rollers, units</source>
        <translation>Fahrgeschwindigkeit in jedem Gang, Trägheit von Rollen, Einheiten</translation>
    </message>
    <message>
        <source>Calculators, and the day&apos;s weather</source>
        <translation>Rechner, und das Wetter des Tages</translation>
    </message>
    <message>
        <source>Load cell, weather station</source>
        <translation>Kraftmessdose, Wetterstation</translation>
    </message>
    <message>
        <source>Check the load cell by masses on an arm, the weather station beside a better instrument</source>
        <translation>Die Kraftmessdose mit Massen an einem Hebel prüfen, die Wetterstation neben einem besseren Gerät</translation>
    </message>
</context>
<context>
    <name>hillrun::BesidePanel</name>
    <message>
        <source>Choose two days (Ctrl+click) to put them beside each other; further ones join them.</source>
        <translation>Zwei Tage wählen (Strg+Klick), um sie nebeneinanderzustellen; weitere verbinden sie.</translation>
    </message>
    <message>
        <source>Build that is compared against</source>
        <translation>Stand, gegen den verglichen wird</translation>
    </message>
    <message>
        <source>Build that is looked at</source>
        <translation>Stand, der angesehen wird</translation>
    </message>
</context>
<context>
    <name>hillrun::Board</name>
    <message>
        <source>empty board</source>
        <translation>leere Tafel</translation>
    </message>
</context>
<context>
    <name>hillrun::BuildCard</name>
    <message>
        <source>no pull in use</source>
        <translation>kein Lauf in Gebrauch</translation>
    </message>
    <message>
        <source>pull</source>
        <translation>Lauf</translation>
    </message>
    <message>
        <source>pulls</source>
        <translation>Läufe</translation>
    </message>
    <message>
        <source>curve only</source>
        <translation>nur Kurve</translation>
    </message>
    <message>
        <source> · peak %1 %2, %3 rpm</source>
        <translation> · Spitze %1 %2, %3 rpm</translation>
    </message>
</context>
<context>
    <name>hillrun::BuildModel</name>
    <message>
        <source>Change %1 of %2</source>
        <translation>%1 von %2 ändern</translation>
    </message>
    <message>
        <source>Name</source>
        <translation>Name</translation>
    </message>
    <message>
        <source>Cost</source>
        <translation>Kosten</translation>
    </message>
    <message>
        <source>Mass</source>
        <translation>Masse</translation>
    </message>
    <message>
        <source>Note</source>
        <translation>Notiz</translation>
    </message>
    <message>
        <source>Attached</source>
        <translation>Angehängt</translation>
    </message>
    <message>
        <source>Add build %1</source>
        <translation>Stand %1 hinzufügen</translation>
    </message>
    <message>
        <source>Remove build %1</source>
        <translation>Stand %1 entfernen</translation>
    </message>
    <message>
        <source>Add %1</source>
        <translation>%1 hinzufügen</translation>
    </message>
    <message>
        <source>Say that %1 is %2</source>
        <translation>Sagen, dass %1 zu %2 gehört</translation>
    </message>
    <message>
        <source>Remove %1</source>
        <translation>%1 entfernen</translation>
    </message>
    <message>
        <source>Attach to %1</source>
        <translation>An %1 anhängen</translation>
    </message>
</context>
<context>
    <name>hillrun::BuildsPanel</name>
    <message>
        <source>Builds</source>
        <translation>Stände</translation>
    </message>
    <message>
        <source>Add build</source>
        <translation>+ Stand</translation>
    </message>
    <message>
        <source>A copy of the build that is selected</source>
        <translation>Eine Kopie des gewählten Stands</translation>
    </message>
    <message>
        <source>Add part</source>
        <translation>+ Teil</translation>
    </message>
    <message>
        <source>A row for a part</source>
        <translation>Eine Zeile für ein Teil</translation>
    </message>
    <message>
        <source>Add setting</source>
        <translation>+ Einstellung</translation>
    </message>
    <message>
        <source>A row for a setting</source>
        <translation>Eine Zeile für eine Einstellung</translation>
    </message>
    <message>
        <source>What this part or setting acts on</source>
        <translation>Worauf dieses Teil oder diese Einstellung wirkt</translation>
    </message>
    <message>
        <source>What the selected part or setting acts on. Guessed from its name; it tells which other differences it explains: jets the mixture, boost the pressures.</source>
        <translation>Worauf das gewählte Teil oder die Einstellung wirkt. Aus dem Namen geraten; es sagt, welche anderen Unterschiede es erklärt: Düsen das Gemisch, Aufladung die Drücke.</translation>
    </message>
    <message>
        <source>Attach …</source>
        <translation>Anhängen …</translation>
    </message>
    <message>
        <source>Photos, sound or sheets to the selected build</source>
        <translation>Fotos, Ton oder Blätter zum gewählten Stand</translation>
    </message>
    <message>
        <source>Remove row</source>
        <translation>− Zeile</translation>
    </message>
    <message>
        <source>Take this part or setting out of every build</source>
        <translation>Nimmt dieses Teil oder diese Einstellung aus jedem Stand</translation>
    </message>
    <message>
        <source>Remove build</source>
        <translation>− Stand</translation>
    </message>
    <message>
        <source>Only builds without pulls can go</source>
        <translation>Nur Stände ohne Läufe können weg</translation>
    </message>
    <message>
        <source>Builds and what differs between them</source>
        <translation>Stände und was sie unterscheidet</translation>
    </message>
    <message>
        <source>not taken: a number is wanted here, such as 12.5</source>
        <translation>nicht übernommen: hier wird eine Zahl erwartet, etwa 12,5</translation>
    </message>
    <message>
        <source>Add a part</source>
        <translation>Teil hinzufügen</translation>
    </message>
    <message>
        <source>Add a setting</source>
        <translation>Einstellung hinzufügen</translation>
    </message>
    <message>
        <source>Name of the part, such as “collector”</source>
        <translation>Name des Teils, etwa „Sammler“</translation>
    </message>
    <message>
        <source>Name of the setting, such as “ignition map”</source>
        <translation>Name der Einstellung, etwa „Zündkennfeld“</translation>
    </message>
    <message>
        <source>Nothing was attached</source>
        <translation>Nichts wurde angehängt</translation>
    </message>
    <message>
        <source>Save the day as a folder first: attachments live in it.</source>
        <translation>Zuerst den Tag als Ordner sichern: Anhänge liegen darin.</translation>
    </message>
    <message>
        <source>A file was not attached</source>
        <translation>Eine Datei wurde nicht angehängt</translation>
    </message>
</context>
<context>
    <name>hillrun::ByteLink</name>
    <message>
        <source>the other side closed the connection</source>
        <translation>die Gegenseite hat die Verbindung geschlossen</translation>
    </message>
</context>
<context>
    <name>hillrun::CautionsPanel</name>
    <message>
        <source>Cautions</source>
        <translation>Vorsichten</translation>
    </message>
    <message>
        <source>Who ticks this?</source>
        <translation>Wer hakt das ab?</translation>
    </message>
    <message>
        <source>Your name is kept with the tick.</source>
        <translation>Der Name wird mit dem Haken aufgehoben.</translation>
    </message>
    <message>
        <source>Tick a caution</source>
        <translation>Vorsicht abhaken</translation>
    </message>
    <message>
        <source>Take a tick back</source>
        <translation>Haken zurücknehmen</translation>
    </message>
    <message>
        <source>Ticked by %1, %2</source>
        <translation>Abgehakt von %1, %2</translation>
    </message>
    <message>
        <source>all ticked</source>
        <translation>alle abgehakt</translation>
    </message>
    <message>
        <source>%1 open</source>
        <translation>%1 offen</translation>
    </message>
</context>
<context>
    <name>hillrun::CellPanel</name>
    <message>
        <source>Cell</source>
        <translation>Prüfstand</translation>
    </message>
</context>
<context>
    <name>hillrun::CellWorker</name>
    <message>
        <source>a sentence has a wrong checksum</source>
        <translation>ein Satz hat eine falsche Prüfsumme</translation>
    </message>
    <message>
        <source>this is not an NMEA sentence</source>
        <translation>das ist kein NMEA-Satz</translation>
    </message>
</context>
<context>
    <name>hillrun::ChangeDialog</name>
    <message>
        <source>Change the build</source>
        <translation>Stand wechseln</translation>
    </message>
    <message>
        <source>Build on the dyno now</source>
        <translation>Stand, der jetzt auf dem Prüfstand ist</translation>
    </message>
    <message>
        <source>On the dyno now</source>
        <translation>Jetzt auf dem Prüfstand</translation>
    </message>
    <message>
        <source>What was really done</source>
        <translation>Was wirklich getan wurde</translation>
    </message>
    <message>
        <source>What was really done, and what else was touched: lash, timing, gasket, jets, map, battery, bottle …</source>
        <translation>Was wirklich getan wurde, und was sonst angefasst wurde: Ventilspiel, Zündung, Dichtung, Düsen, Kennfeld, Batterie, Flasche …</translation>
    </message>
    <message>
        <source>After engine work break it in first. After a new map or battery the first pulls climb until the control unit has settled. The time is kept with the note.</source>
        <translation>Nach Arbeiten am Motor erst einlaufen lassen. Nach neuem Kennfeld oder neuer Batterie steigen die ersten Läufe, bis das Steuergerät sich gesetzt hat. Die Zeit wird mit der Notiz aufgehoben.</translation>
    </message>
    <message>
        <source>It is fitted</source>
        <translation>Ist eingebaut</translation>
    </message>
    <message>
        <source>Go back</source>
        <translation>Zurück</translation>
    </message>
    <message>
        <source>%1: %2 → %3</source>
        <translation>%1: %2 → %3</translation>
    </message>
    <message>
        <source>By the plan nothing changes against %1.</source>
        <translation>Nach dem Plan ändert sich nichts gegen %1.</translation>
    </message>
    <message>
        <source>By the plan: %1</source>
        <translation>Nach dem Plan: %1</translation>
    </message>
    <message>
        <source>It was taken off and fitted again: a new set begins</source>
        <translation>Er wurde ab- und wieder angebaut: ein neuer Satz beginnt</translation>
    </message>
</context>
<context>
    <name>hillrun::ChannelGrid</name>
    <message>
        <source>Channels over engine speed</source>
        <translation>Kanäle über der Motordrehzahl</translation>
    </message>
</context>
<context>
    <name>hillrun::CheckPage</name>
    <message>
        <source>Pulls of the day</source>
        <translation>Läufe des Tages</translation>
    </message>
    <message>
        <source>Numbers of all pulls shown at the cursor</source>
        <translation>Zahlen aller gezeigten Läufe am Zeiger</translation>
    </message>
    <message>
        <source>Take back</source>
        <translation>Zurücknehmen</translation>
    </message>
    <message>
        <source>Set aside</source>
        <translation>Beiseitelegen</translation>
    </message>
    <message>
        <source>Let go of %1</source>
        <translation>%1 loslassen</translation>
    </message>
    <message>
        <source>Hold beside</source>
        <translation>Danebenhalten</translation>
    </message>
    <message>
        <source>No pulls in this day yet. Drop logger files on the window, or press Ctrl+I.</source>
        <translation>Noch keine Läufe in diesem Tag. Logger-Dateien auf das Fenster ziehen, oder Strg+I drücken.</translation>
    </message>
    <message>
        <source>No day is open. Press Ctrl+O to open one.</source>
        <translation>Kein Tag ist offen. Strg+O öffnet einen.</translation>
    </message>
    <message>
        <source>Note that %1 was not fitted again</source>
        <translation>Vermerken, dass vor %1 nicht neu angebaut wurde</translation>
    </message>
    <message>
        <source>Note that %1 was fitted again</source>
        <translation>Vermerken, dass vor %1 neu angebaut wurde</translation>
    </message>
</context>
<context>
    <name>hillrun::ClaimsPanel</name>
    <message>
        <source>Drift over the day is at most</source>
        <translation>Drift über den Tag ist höchstens</translation>
    </message>
    <message>
        <source>Only for days without a return to base: claims then hold if drift stayed below it</source>
        <translation>Nur für Tage ohne Rückkehr zur Basis: Aussagen gelten dann, wenn die Drift darunter blieb</translation>
    </message>
    <message>
        <source>comparisons named beforehand</source>
        <translation>vorher genannte Vergleiche</translation>
    </message>
    <message>
        <source>drift at most</source>
        <translation>Drift höchstens</translation>
    </message>
    <message>
        <source>Declare a drift bound</source>
        <translation>Driftgrenze angeben</translation>
    </message>
    <message>
        <source>Name %1 to %2 beforehand</source>
        <translation>%1 zu %2 vorher nennen</translation>
    </message>
    <message>
        <source>No longer name %1 to %2</source>
        <translation>%1 zu %2 nicht mehr vorher nennen</translation>
    </message>
    <message>
        <source>Judged by its own band when it is named before the pulls; while none is named, all of these are judged together by the wider band of all</source>
        <translation>Nach dem eigenen Band beurteilt, wenn er vor den Läufen genannt ist; solange keiner genannt ist, werden alle gemeinsam nach dem breiteren Band aller beurteilt</translation>
    </message>
    <message>
        <source>refitting (sd)</source>
        <translation>Anbauen (sd)</translation>
    </message>
    <message>
        <source>Fitting a build again adds (sd)</source>
        <translation>Erneutes Anbauen eines Standes streut um (sd)</translation>
    </message>
    <message>
        <source>Left open, the answer says how much refitting would undo it. With a number, the intervals allow for it.</source>
        <translation>Offen gelassen, sagt die Antwort, wie viel Anbauen sie umwerfen würde. Mit einer Zahl lassen die Intervalle dafür Raum.</translation>
    </message>
    <message>
        <source>As learned</source>
        <translation>Wie gelernt</translation>
    </message>
    <message>
        <source>Take what this cell has taught of refitting</source>
        <translation>Nehmen, was dieser Prüfstand vom Anbauen gelehrt hat</translation>
    </message>
    <message>
        <source>Change what fitting again adds</source>
        <translation>Ändern, was das Anbauen hinzufügt</translation>
    </message>
    <message>
        <source>Take what the cell has taught of refitting</source>
        <translation>Nehmen, was der Prüfstand vom Anbauen gelehrt hat</translation>
    </message>
    <message>
        <source>Few repeats: as on earlier days</source>
        <translation>Wenige Läufe: wie an früheren Tagen</translation>
    </message>
    <message>
        <source>With one pull a build, or two, today cannot tell what it repeats within. Then it is taken to repeat as this cell&apos;s earlier days do, and the answer says so.</source>
        <translation>Mit einem Lauf je Stand, oder zweien, kann der heutige Tag nicht sagen, wie genau er sich wiederholt. Dann wird angenommen, dass er sich wie frühere Tage dieses Prüfstands wiederholt, und die Antwort sagt es dazu.</translation>
    </message>
    <message>
        <source>Count on earlier days&apos; repeats</source>
        <translation>Wiederholungen früherer Tage mitzählen</translation>
    </message>
    <message>
        <source>Count today&apos;s repeats alone</source>
        <translation>Nur die heutigen Wiederholungen zählen</translation>
    </message>
</context>
<context>
    <name>hillrun::ColumnTable</name>
    <message>
        <source>date</source>
        <translation>Datum</translation>
    </message>
    <message>
        <source>number of the row</source>
        <translation>Nummer der Zeile</translation>
    </message>
    <message>
        <source>run</source>
        <translation>Durchgang</translation>
    </message>
    <message>
        <source>weather: temperature</source>
        <translation>Wetter: Temperatur</translation>
    </message>
    <message>
        <source>weather: pressure</source>
        <translation>Wetter: Druck</translation>
    </message>
    <message>
        <source>weather: humidity</source>
        <translation>Wetter: Feuchte</translation>
    </message>
    <message>
        <source>(left out)</source>
        <translation>(weggelassen)</translation>
    </message>
    <message>
        <source>its own name</source>
        <translation>eigener Name</translation>
    </message>
    <message>
        <source>column</source>
        <translation>Spalte</translation>
    </message>
    <message>
        <source>means</source>
        <translation>bedeutet</translation>
    </message>
    <message>
        <source>unit</source>
        <translation>Einheit</translation>
    </message>
    <message>
        <source>gauge</source>
        <translation>relativ</translation>
    </message>
    <message>
        <source>times</source>
        <translation>mal</translation>
    </message>
    <message>
        <source>some values</source>
        <translation>einige Werte</translation>
    </message>
    <message>
        <source>(no name)</source>
        <translation>(ohne Namen)</translation>
    </message>
    <message>
        <source>%1: guessed, please check</source>
        <translation>%1: geraten, bitte prüfen</translation>
    </message>
    <message>
        <source>unit of %1</source>
        <translation>Einheit von %1</translation>
    </message>
    <message>
        <source>Counts from the surrounding air, not from zero</source>
        <translation>Zählt von der Umgebungsluft, nicht von null</translation>
    </message>
    <message>
        <source>factor of %1</source>
        <translation>Faktor von %1</translation>
    </message>
    <message>
        <source>Times this before anything else; -1 turns a reaction round</source>
        <translation>Vor allem anderen mal diese Zahl; -1 dreht eine Gegenkraft um</translation>
    </message>
    <message>
        <source>not taken: a factor is a number, such as -1 or 9.81</source>
        <translation>nicht übernommen: ein Faktor ist eine Zahl wie -1 oder 9,81</translation>
    </message>
</context>
<context>
    <name>hillrun::CommandSearch</name>
    <message>
        <source>Search commands</source>
        <translation>Befehle suchen</translation>
    </message>
    <message>
        <source>What do you want to do?</source>
        <translation>Was soll geschehen?</translation>
    </message>
</context>
<context>
    <name>hillrun::ComparePage</name>
    <message>
        <source>No day is open.</source>
        <translation>Kein Tag ist offen.</translation>
    </message>
    <message>
        <source>Working the day out …</source>
        <translation>Der Tag wird ausgewertet …</translation>
    </message>
    <message>
        <source>Nothing to compare yet: %1.</source>
        <translation>Noch nichts zu vergleichen: %1.</translation>
    </message>
    <message>
        <source>Choose two builds with pulls in use.</source>
        <translation>Zwei Stände mit Läufen in Gebrauch wählen.</translation>
    </message>
    <message>
        <source>not one of the planned comparisons: judged by the band over all pairs</source>
        <translation>keiner der geplanten Vergleiche: nach dem Band über alle Paare beurteilt</translation>
    </message>
    <message>
        <source>named beforehand: judged by its own band</source>
        <translation>vorher genannt: nach dem eigenen Band beurteilt</translation>
    </message>
    <message>
        <source>drift of %1 per hour is taken out</source>
        <translation>Drift von %1 je Stunde ist herausgerechnet</translation>
    </message>
    <message>
        <source>one pull repeats within %1&#xa0;%</source>
        <translation>ein Lauf wiederholt sich auf %1&#xa0;%</translation>
    </message>
    <message>
        <source>Open a day folder or a package with Ctrl+O, or drop logger files on the window</source>
        <translation>Einen Ordner oder ein Paket mit Strg+O öffnen, oder Logger-Dateien auf das Fenster ziehen</translation>
    </message>
    <message>
        <source>Pair</source>
        <translation>Paar</translation>
    </message>
    <message>
        <source>Field</source>
        <translation>Feld</translation>
    </message>
    <message>
        <source>Other days</source>
        <translation>Andere Tage</translation>
    </message>
</context>
<context>
    <name>hillrun::CreditPage</name>
    <message>
        <source>No day is open.</source>
        <translation>Kein Tag ist offen.</translation>
    </message>
    <message>
        <source>Part</source>
        <translation>Teil</translation>
    </message>
    <message>
        <source>Gain</source>
        <translation>Gewinn</translation>
    </message>
    <message>
        <source>Of the base</source>
        <translation>Von der Basis</translation>
    </message>
    <message>
        <source>Besides</source>
        <translation>Außerdem</translation>
    </message>
    <message>
        <source>Use …</source>
        <translation>Nutzung …</translation>
    </message>
    <message>
        <source>This day</source>
        <translation>Dieser Tag</translation>
    </message>
    <message>
        <source>Over days</source>
        <translation>Über Tage</translation>
    </message>
    <message>
        <source>Looking into the logbook …</source>
        <translation>Im Logbuch wird nachgesehen …</translation>
    </message>
</context>
<context>
    <name>hillrun::CreditPicture</name>
    <message>
        <source>%1, not run</source>
        <translation>%1, nicht gefahren</translation>
    </message>
    <message>
        <source>Net of the builds</source>
        <translation>Netz der Stände</translation>
    </message>
    <message>
        <source>Stairs of the parts</source>
        <translation>Treppe der Teile</translation>
    </message>
    <message>
        <source>%1 to %2: %3</source>
        <translation>%1 zu %2: %3</translation>
    </message>
    <message>
        <source>nothing to show</source>
        <translation>nichts zu zeigen</translation>
    </message>
</context>
<context>
    <name>hillrun::CurveChoice</name>
    <message>
        <source>Curve that is compared</source>
        <translation>Kurve, die verglichen wird</translation>
    </message>
    <message>
        <source>Power, torque, or any other curve that the pulls have (Q: power and torque)</source>
        <translation>Leistung, Drehmoment oder jede andere Kurve, die die Läufe haben (Q: Leistung und Drehmoment)</translation>
    </message>
</context>
<context>
    <name>hillrun::DayDocument</name>
    <message>
        <source>Undo: %1</source>
        <translation>Rückgängig: %1</translation>
    </message>
    <message>
        <source>Undo what was saved</source>
        <translation>Gesichertes rückgängig machen</translation>
    </message>
    <message>
        <source>Set aside %1</source>
        <translation>%1 beiseitelegen</translation>
    </message>
    <message>
        <source>Take back %1</source>
        <translation>%1 zurücknehmen</translation>
    </message>
    <message>
        <source>Trim %1</source>
        <translation>%1 beschneiden</translation>
    </message>
    <message>
        <source>Undo the trim of %1</source>
        <translation>Schnitt von %1 aufheben</translation>
    </message>
    <message>
        <source>Take %1 kPa for %2</source>
        <translation>%1 kPa für %2 nehmen</translation>
    </message>
    <message>
        <source>%1: %2</source>
        <translation>%1: %2</translation>
    </message>
</context>
<context>
    <name>hillrun::DayFiles</name>
    <message>
        <source>This day could not be opened</source>
        <translation>Dieser Tag ließ sich nicht öffnen</translation>
    </message>
    <message>
        <source>Edits cannot be kept against a crash: %1 Save soon.</source>
        <translation>Änderungen sind gegen einen Absturz nicht geschützt: %1 Bald sichern.</translation>
    </message>
    <message>
        <source>Understood</source>
        <translation>Verstanden</translation>
    </message>
    <message>
        <source>New day</source>
        <translation>Neuer Tag</translation>
    </message>
    <message>
        <source>as it is</source>
        <translation>wie er ist</translation>
    </message>
    <message>
        <source>The day has no place yet: %1 Save it elsewhere before the first pull.</source>
        <translation>Der Tag hat noch keinen Platz: %1 Vor dem ersten Lauf anderswo sichern.</translation>
    </message>
    <message>
        <source>Save as …</source>
        <translation>Sichern unter …</translation>
    </message>
    <message>
        <source>Reading %1 …</source>
        <translation>%1 wird gelesen …</translation>
    </message>
    <message>
        <source>Cancel</source>
        <translation>Abbrechen</translation>
    </message>
    <message>
        <source>This day cannot be written where it is (%1). Edits can be saved elsewhere.</source>
        <translation>Dieser Tag lässt sich dort nicht schreiben (%1). Änderungen können anderswo gesichert werden.</translation>
    </message>
    <message>
        <source>This day is open for writing elsewhere: %1. Here it can be read only.</source>
        <translation>Dieser Tag ist anderswo zum Schreiben offen: %1. Hier ist er nur zu lesen.</translation>
    </message>
    <message>
        <source>Take over</source>
        <translation>Übernehmen</translation>
    </message>
    <message>
        <source>Save a copy …</source>
        <translation>Kopie sichern …</translation>
    </message>
    <message>
        <source>Another window has taken the edits in</source>
        <translation>Ein anderes Fenster hat die Änderungen übernommen</translation>
    </message>
    <message>
        <source>Look at the day there.</source>
        <translation>Den Tag dort ansehen.</translation>
    </message>
    <message>
        <source>The kept day could not be read</source>
        <translation>Der aufgehobene Tag ließ sich nicht lesen</translation>
    </message>
    <message>
        <source> (kept)</source>
        <translation> (aufgehoben)</translation>
    </message>
    <message>
        <source>Open what was kept</source>
        <translation>Aufgehobenes öffnen</translation>
    </message>
    <message>
        <source>Not saved: the day was changed on disk since it was read.</source>
        <translation>Nicht gesichert: der Tag wurde auf der Platte geändert, seit er gelesen wurde.</translation>
    </message>
    <message>
        <source>Reload it</source>
        <translation>Neu laden</translation>
    </message>
    <message>
        <source>Save mine beside it</source>
        <translation>Meinen daneben sichern</translation>
    </message>
    <message>
        <source>What differs?</source>
        <translation>Was ist anders?</translation>
    </message>
    <message>
        <source>The day on disk cannot be read</source>
        <translation>Der Tag auf der Platte ist nicht lesbar</translation>
    </message>
    <message>
        <source>Here and on disk</source>
        <translation>Hier und auf der Platte</translation>
    </message>
    <message>
        <source>Nothing differs.</source>
        <translation>Nichts ist anders.</translation>
    </message>
    <message>
        <source>none yet</source>
        <translation>noch keine</translation>
    </message>
    <message>
        <source>Saved.</source>
        <translation>Gesichert.</translation>
    </message>
    <message>
        <source>Save elsewhere …</source>
        <translation>Anderswo sichern …</translation>
    </message>
    <message>
        <source>The day could not be saved</source>
        <translation>Der Tag ließ sich nicht sichern</translation>
    </message>
    <message>
        <source>Saved to %1.</source>
        <translation>Gesichert unter %1.</translation>
    </message>
    <message>
        <source>Save the day as</source>
        <translation>Tag sichern unter</translation>
    </message>
    <message>
        <source>Day folder or package (*)</source>
        <translation>Ordner oder Paket des Tages (*)</translation>
    </message>
    <message>
        <source>%1 could not be taken along: %2.</source>
        <translation>%1 ließ sich nicht mitnehmen: %2.</translation>
    </message>
    <message>
        <source>The file could not be written</source>
        <translation>Die Datei ließ sich nicht schreiben</translation>
    </message>
    <message>
        <source>Written: %1</source>
        <translation>Geschrieben: %1</translation>
    </message>
    <message>
        <source>The copy of the day could not be written</source>
        <translation>Die Kopie des Tages konnte nicht geschrieben werden</translation>
    </message>
    <message>
        <source>A copy of this day is here already, and it differs from the one in the logbook.</source>
        <translation>Eine Kopie dieses Tages ist schon hier, und sie weicht von der im Logbuch ab.</translation>
    </message>
    <message>
        <source>Open the copy here</source>
        <translation>Die Kopie hier öffnen</translation>
    </message>
    <message>
        <source>Open the logbook&apos;s beside it</source>
        <translation>Die des Logbuchs daneben öffnen</translation>
    </message>
    <message>
        <source>A copy of a day of %1. What is edited and saved here stays here: the logbook keeps theirs.</source>
        <translation>Eine Kopie eines Tages von %1. Was hier geändert und gesichert wird, bleibt hier: das Logbuch behält ihren.</translation>
    </message>
</context>
<context>
    <name>hillrun::DayImports</name>
    <message>
        <source>Reading %1…%2</source>
        <translation>%1 wird gelesen …%2</translation>
    </message>
    <message>
        <source>Cancel</source>
        <translation>Abbrechen</translation>
    </message>
    <message>
        <source>A file could not be read</source>
        <translation>Eine Datei war nicht lesbar</translation>
    </message>
    <message>
        <source>%1 files could not be read</source>
        <translation>%1 Dateien waren nicht lesbar</translation>
    </message>
    <message>
        <source>The log could not be read</source>
        <translation>Die Aufzeichnung war nicht lesbar</translation>
    </message>
    <message>
        <source>The log could not be laid on</source>
        <translation>Die Aufzeichnung ließ sich nicht auflegen</translation>
    </message>
    <message>
        <source>Lay on %1</source>
        <translation>%1 auflegen</translation>
    </message>
    <message>
        <source>New day</source>
        <translation>Neuer Tag</translation>
    </message>
    <message>
        <source>The picture could not be opened</source>
        <translation>Das Bild ließ sich nicht öffnen</translation>
    </message>
    <message>
        <source>Trace %1</source>
        <translation>%1 nachzeichnen</translation>
    </message>
    <message>
        <source>Type %1</source>
        <translation>%1 eintippen</translation>
    </message>
    <message>
        <source>The curve could not be taken</source>
        <translation>Die Kurve ließ sich nicht übernehmen</translation>
    </message>
    <message>
        <source>The files could not be imported</source>
        <translation>Die Dateien ließen sich nicht übernehmen</translation>
    </message>
    <message>
        <source>Import %1</source>
        <translation>%1 übernehmen</translation>
    </message>
</context>
<context>
    <name>hillrun::DayOffers</name>
    <message>
        <source>Nothing is kept that is not in a day.</source>
        <translation>Nichts ist aufgehoben, was nicht in einem Tag ist.</translation>
    </message>
    <message>
        <source>Something that was kept cannot be read</source>
        <translation>Etwas Aufgehobenes ist nicht lesbar</translation>
    </message>
    <message>
        <source>That did not work</source>
        <translation>Das ging nicht</translation>
    </message>
    <message>
        <source>recordings that are not in the day: %1</source>
        <translation>Aufzeichnungen, die nicht im Tag sind: %1</translation>
    </message>
    <message>
        <source>edits that were not saved (%1): %2</source>
        <translation>nicht gesicherte Änderungen (%1): %2</translation>
    </message>
    <message>
        <source>Kept from the last time: %1.</source>
        <translation>Vom letzten Mal aufgehoben: %1.</translation>
    </message>
    <message>
        <source>; and </source>
        <translation>; und </translation>
    </message>
    <message>
        <source>Take it in</source>
        <translation>Übernehmen</translation>
    </message>
    <message>
        <source>Leave it out</source>
        <translation>Weglassen</translation>
    </message>
    <message>
        <source>Later</source>
        <translation>Später</translation>
    </message>
    <message>
        <source>Another window has taken the edits in</source>
        <translation>Ein anderes Fenster hat die Änderungen übernommen</translation>
    </message>
    <message>
        <source>Look at the day there; nothing was changed here.</source>
        <translation>Den Tag dort ansehen; hier wurde nichts geändert.</translation>
    </message>
    <message>
        <source>Take in what was kept</source>
        <translation>Aufgehobenes übernehmen</translation>
    </message>
    <message>
        <source>%1 could not be read and is left out. %2</source>
        <translation>%1 war nicht lesbar und bleibt weg. %2</translation>
    </message>
    <message>
        <source>Set it aside</source>
        <translation>Beiseitelegen</translation>
    </message>
    <message>
        <source>its file cannot be read</source>
        <translation>seine Datei ist nicht lesbar</translation>
    </message>
    <message>
        <source>Go on without</source>
        <translation>Ohne weiter</translation>
    </message>
    <message>
        <source>%1 is left out: its file %2 is not the one that was stored (the checksum does not fit).</source>
        <translation>%1 bleibt weg: seine Datei %2 ist nicht die gespeicherte (die Prüfsumme passt nicht).</translation>
    </message>
    <message>
        <source>Take it as it is</source>
        <translation>So nehmen, wie sie ist</translation>
    </message>
    <message>
        <source>its file was changed and taken as it is</source>
        <translation>seine Datei wurde geändert und so genommen, wie sie ist</translation>
    </message>
    <message>
        <source>Take %1 as it is</source>
        <translation>%1 so nehmen, wie er ist</translation>
    </message>
    <message>
        <source>its file was changed</source>
        <translation>seine Datei wurde geändert</translation>
    </message>
    <message>
        <source>%1 could not be read and is left out. It can be repaired (%2); its file stays as it is.</source>
        <translation>%1 war nicht lesbar und bleibt weg. Es lässt sich reparieren (%2); seine Datei bleibt, wie sie ist.</translation>
    </message>
    <message>
        <source>Repair it</source>
        <translation>Reparieren</translation>
    </message>
    <message>
        <source>Repair %1</source>
        <translation>%1 reparieren</translation>
    </message>
    <message>
        <source>repaired: %1</source>
        <translation>repariert: %1</translation>
    </message>
    <message>
        <source>%1 hold the same rows to the digit: a file was copied or imported twice. As repeats they would count for more than was measured.</source>
        <translation>%1 enthalten auf die Ziffer dieselben Zeilen: eine Datei wurde zweimal kopiert oder übernommen. Als Wiederholungen würden sie für mehr zählen, als gemessen wurde.</translation>
    </message>
    <message>
        <source> and </source>
        <translation> und </translation>
    </message>
    <message>
        <source>Keep %1 only</source>
        <translation>Nur %1 behalten</translation>
    </message>
    <message>
        <source>same rows as %1</source>
        <translation>dieselben Zeilen wie %1</translation>
    </message>
    <message>
        <source>Keep all</source>
        <translation>Alle behalten</translation>
    </message>
    <message>
        <source>Untitled day</source>
        <translation>Tag ohne Namen</translation>
    </message>
    <message>
        <source>never saved</source>
        <translation>nie gesichert</translation>
    </message>
    <message>
        <source>this day went on without them</source>
        <translation>dieser Tag ging ohne sie weiter</translation>
    </message>
    <message>
        <source>Edits were kept of “%1” (%2; %3, %4): %5.</source>
        <translation>Änderungen an „%1“ sind aufgehoben (%2; %3, %4): %5.</translation>
    </message>
    <message>
        <source>Open them as a day</source>
        <translation>Als Tag öffnen</translation>
    </message>
    <message>
        <source>Open that day</source>
        <translation>Diesen Tag öffnen</translation>
    </message>
    <message>
        <source>Dismiss</source>
        <translation>Wegwerfen</translation>
    </message>
</context>
<context>
    <name>hillrun::DayStrip</name>
    <message>
        <source>Day strip: the pulls in order of time</source>
        <translation>Tagesstreifen: die Läufe in zeitlicher Folge</translation>
    </message>
    <message>
        <source>No pulls in this day yet. Drop logger files here, or press Ctrl+I.</source>
        <translation>Noch keine Läufe in diesem Tag. Logger-Dateien hierher ziehen, oder Strg+I drücken.</translation>
    </message>
    <message>
        <source>No day is open. Press Ctrl+O, or drop a day folder, a zip or logger files here.</source>
        <translation>Kein Tag ist offen. Strg+O drücken, oder einen Ordner, ein zip oder Logger-Dateien hierher ziehen.</translation>
    </message>
    <message>
        <source>%1 min</source>
        <translation>%1 min</translation>
    </message>
    <message>
        <source>now</source>
        <translation>jetzt</translation>
    </message>
    <message>
        <source> · air factor %1–%2</source>
        <translation> · Luftfaktor %1–%2</translation>
    </message>
    <message>
        <source>%1, build %2</source>
        <translation>%1, Stand %2</translation>
    </message>
    <message>
        <source>%1 against its set</source>
        <translation>%1 gegen seine Serie</translation>
    </message>
    <message>
        <source>left out: %1</source>
        <translation>weggelassen: %1</translation>
    </message>
</context>
<context>
    <name>hillrun::DesktopDialogs</name>
    <message>
        <source>Open a day folder</source>
        <translation>Ordner eines Tages öffnen</translation>
    </message>
    <message>
        <source>Open a day package</source>
        <translation>Paket eines Tages öffnen</translation>
    </message>
    <message>
        <source>Day package (*.zip day.json)</source>
        <translation>Paket eines Tages (*.zip day.json)</translation>
    </message>
    <message>
        <source>Import logger files</source>
        <translation>Logger-Dateien übernehmen</translation>
    </message>
    <message>
        <source>Logs and tables (*.csv *.txt *.log *.tsv *.dat *.asc *.prn *.xlsx *.ods *.json *.jsonl *.gz *.bz2 *.xz *.zst *.zip);;All files (*)</source>
        <translation>Aufzeichnungen und Tabellen (*.csv *.txt *.log *.tsv *.dat *.asc *.prn *.xlsx *.ods *.json *.jsonl *.gz *.bz2 *.xz *.zst *.zip);;Alle Dateien (*)</translation>
    </message>
    <message>
        <source>A picture of a sheet</source>
        <translation>Bild eines Blatts</translation>
    </message>
    <message>
        <source>Pictures and PDF (*.png *.jpg *.jpeg *.pdf)</source>
        <translation>Bilder und PDF (*.png *.jpg *.jpeg *.pdf)</translation>
    </message>
    <message>
        <source>Set aside %1</source>
        <translation>%1 beiseitelegen</translation>
    </message>
    <message>
        <source>Why? The pull stays in the day; only the sums leave it out.</source>
        <translation>Warum? Der Lauf bleibt im Tag; nur die Rechnung lässt ihn weg.</translation>
    </message>
    <message>
        <source>Attach photos, sound or sheets</source>
        <translation>Fotos, Ton oder Blätter anhängen</translation>
    </message>
    <message>
        <source>Sweep a setting</source>
        <translation>Eine Einstellung in Stufen</translation>
    </message>
    <message>
        <source>Which setting or part is run in steps?</source>
        <translation>Welche Einstellung oder welches Teil läuft in Stufen?</translation>
    </message>
    <message>
        <source>Its values, apart from the base&apos;s, with commas between them</source>
        <translation>Ihre Werte außer dem der Basis, mit Kommas dazwischen</translation>
    </message>
    <message>
        <source>Edits that are not saved</source>
        <translation>Nicht gesicherte Änderungen</translation>
    </message>
    <message>
        <source>Save the edits of “%1”?</source>
        <translation>Die Änderungen an „%1“ sichern?</translation>
    </message>
    <message>
        <source>Save</source>
        <translation>Sichern</translation>
    </message>
    <message>
        <source>Leave them out</source>
        <translation>Verwerfen</translation>
    </message>
    <message>
        <source>Go back</source>
        <translation>Zurück</translation>
    </message>
    <message>
        <source>Hill Run</source>
        <translation>Hill Run</translation>
    </message>
</context>
<context>
    <name>hillrun::DesktopTonePlayer</name>
    <message>
        <source>The desktop&apos;s sound server does not answer.</source>
        <translation>Der Tondienst des Schreibtischs antwortet nicht.</translation>
    </message>
    <message>
        <source>The library of the sound server is missing: install libpulse0.</source>
        <translation>Die Bibliothek des Tondienstes fehlt: libpulse0 installieren.</translation>
    </message>
</context>
<context>
    <name>hillrun::DynoPanel</name>
    <message>
        <source>Gear and speed</source>
        <translation>Gang und Geschwindigkeit</translation>
    </message>
    <message>
        <source>engine speed</source>
        <translation>Drehzahl</translation>
    </message>
    <message>
        <source>road speed</source>
        <translation>Fahrgeschwindigkeit</translation>
    </message>
    <message>
        <source>Inertia of rollers</source>
        <translation>Trägheit von Rollen</translation>
    </message>
    <message>
        <source>rollers</source>
        <translation>Rollen</translation>
    </message>
    <message>
        <source>diameter</source>
        <translation>Durchmesser</translation>
    </message>
    <message>
        <source>length</source>
        <translation>Länge</translation>
    </message>
    <message>
        <source>wall</source>
        <translation>Wand</translation>
    </message>
    <message>
        <source>density</source>
        <translation>Dichte</translation>
    </message>
    <message>
        <source>besides</source>
        <translation>dazu</translation>
    </message>
    <message>
        <source>Left open: solid</source>
        <translation>Offen gelassen: voll</translation>
    </message>
    <message>
        <source>Shafts, couplings and the brake&apos;s rotor, at roller speed</source>
        <translation>Wellen, Kupplungen und der Läufer der Bremse, bei Rollendrehzahl</translation>
    </message>
    <message>
        <source>Give to the cell</source>
        <translation>An den Prüfstand geben</translation>
    </message>
    <message>
        <source>End plates are left out. A measured inertia goes before a calculated one.</source>
        <translation>Böden sind nicht enthalten. Eine gemessene Trägheit geht vor einer gerechneten.</translation>
    </message>
    <message>
        <source>Units</source>
        <translation>Einheiten</translation>
    </message>
    <message>
        <source>value</source>
        <translation>Wert</translation>
    </message>
    <message>
        <source>unit</source>
        <translation>Einheit</translation>
    </message>
    <message>
        <source>gear</source>
        <translation>Gang</translation>
    </message>
    <message>
        <source>ratio</source>
        <translation>Übersetzung</translation>
    </message>
    <message>
        <source>Gears, final drive and the tyres&apos; radius are on the article&apos;s card of Prepare.</source>
        <translation>Gänge, Achsübersetzung und Reifenradius stehen auf der Karte des Prüflings in Planen.</translation>
    </message>
    <message>
        <source>Without slip: the tyre as it rolls, not as it stands.</source>
        <translation>Ohne Schlupf: der Reifen, wie er rollt, nicht wie er steht.</translation>
    </message>
    <message>
        <source>Diameter and length give the inertia.</source>
        <translation>Durchmesser und Länge ergeben die Trägheit.</translation>
    </message>
    <message>
        <source>%1&#xa0;kg·m²: as heavy to speed up as %2&#xa0;kg on the road</source>
        <translation>%1&#xa0;kg·m²: so schwer zu beschleunigen wie %2&#xa0;kg auf der Straße</translation>
    </message>
    <message>
        <source>Give the cell its rollers&apos; inertia</source>
        <translation>Dem Prüfstand die Trägheit seiner Rollen geben</translation>
    </message>
</context>
<context>
    <name>hillrun::EarlierPane</name>
    <message>
        <source>Build of another day</source>
        <translation>Stand eines anderen Tages</translation>
    </message>
    <message>
        <source>Build of today</source>
        <translation>Heutiger Stand</translation>
    </message>
    <message>
        <source>No build of another day stands beside today&apos;s. Choose one in the logbook.</source>
        <translation>Neben den heutigen steht kein Stand eines anderen Tages. Im Logbuch einen wählen.</translation>
    </message>
    <message>
        <source>Looking into the logbook …</source>
        <translation>Im Logbuch wird nachgesehen …</translation>
    </message>
    <message>
        <source>These two are the same build, or one has no pulls in use.</source>
        <translation>Diese beiden sind derselbe Stand, oder einer hat keine benutzten Läufe.</translation>
    </message>
    <message>
        <source>rpm</source>
        <translation>rpm</translation>
    </message>
    <message>
        <source>Difference, %</source>
        <translation>Unterschied, %</translation>
    </message>
    <message>
        <source>from, %</source>
        <translation>von, %</translation>
    </message>
    <message>
        <source>to, %</source>
        <translation>bis, %</translation>
    </message>
</context>
<context>
    <name>hillrun::FieldLadder</name>
    <message>
        <source>%1 builds</source>
        <translation>%1 Stände</translation>
    </message>
    <message>
        <source>Ribbon ladder: each build against the base</source>
        <translation>Bänderleiter: jeder Stand gegen die Basis</translation>
    </message>
    <message>
        <source>leads</source>
        <translation>führt</translation>
    </message>
    <message>
        <source>over the base, for the use</source>
        <translation>über der Basis, für die Nutzung</translation>
    </message>
    <message>
        <source>%1 leads from %2 to %3 rpm</source>
        <translation>%1 führt von %2 bis %3 rpm</translation>
    </message>
    <message>
        <source>%1 may lead from %2 to %3 rpm</source>
        <translation>%1 kann führen von %2 bis %3 rpm</translation>
    </message>
    <message>
        <source>nothing to show</source>
        <translation>nichts zu zeigen</translation>
    </message>
    <message>
        <source>%1: %2, %3</source>
        <translation>%1: %2, %3</translation>
    </message>
</context>
<context>
    <name>hillrun::FieldPane</name>
    <message>
        <source>drag across the curves: what the builds are wanted for</source>
        <translation>über die Kurven ziehen: wofür die Stände gebraucht werden</translation>
    </message>
    <message>
        <source>Take %1 as the use</source>
        <translation>%1 als Nutzung nehmen</translation>
    </message>
    <message>
        <source>Take the whole range as the use</source>
        <translation>Den ganzen Bereich als Nutzung nehmen</translation>
    </message>
    <message>
        <source>Build</source>
        <translation>Stand</translation>
    </message>
    <message>
        <source>Over the base</source>
        <translation>Über der Basis</translation>
    </message>
    <message>
        <source>May be best</source>
        <translation>Kann der beste sein</translation>
    </message>
</context>
<context>
    <name>hillrun::FindingList</name>
    <message>
        <source>What was found on this pull</source>
        <translation>Was an diesem Lauf gefunden wurde</translation>
    </message>
    <message>
        <source>Show</source>
        <translation>Zeigen</translation>
    </message>
    <message>
        <source>Put the cursor there</source>
        <translation>Den Zeiger dorthin setzen</translation>
    </message>
    <message>
        <source>Trim to %1</source>
        <translation>Auf %1 beschneiden</translation>
    </message>
    <message>
        <source>Leave that stretch out; Ctrl+Z takes it back</source>
        <translation>Dieses Stück weglassen; Strg+Z nimmt es zurück</translation>
    </message>
    <message>
        <source>Yes: %1</source>
        <translation>Ja: %1</translation>
    </message>
    <message>
        <source>Multiply its torque by %1; the recorded rows stay as they are</source>
        <translation>Sein Drehmoment mit %1 malnehmen; die aufgezeichneten Zeilen bleiben</translation>
    </message>
    <message>
        <source>Set aside</source>
        <translation>Beiseitelegen</translation>
    </message>
    <message>
        <source>Leave the pull out with this reason</source>
        <translation>Den Lauf mit diesem Grund weglassen</translation>
    </message>
</context>
<context>
    <name>hillrun::FoundDays</name>
    <message>
        <source>being read</source>
        <translation>wird gelesen</translation>
    </message>
</context>
<context>
    <name>hillrun::GainRibbon</name>
    <message>
        <source>Gain ribbon</source>
        <translation>Gewinnband</translation>
    </message>
    <message>
        <source>Where the change gives, where it costs, and where nobody can tell yet</source>
        <translation>Wo die Änderung bringt, wo sie kostet, und wo es noch niemand sagen kann</translation>
    </message>
    <message>
        <source>gain</source>
        <translation>Gewinn</translation>
    </message>
    <message>
        <source>loss</source>
        <translation>Verlust</translation>
    </message>
    <message>
        <source>cannot tell</source>
        <translation>nicht zu sagen</translation>
    </message>
    <message>
        <source>%1 from %2 to %3 rpm</source>
        <translation>%1 von %2 bis %3 rpm</translation>
    </message>
    <message>
        <source>nothing to show</source>
        <translation>nichts zu zeigen</translation>
    </message>
    <message>
        <source>more</source>
        <translation>mehr</translation>
    </message>
    <message>
        <source>less</source>
        <translation>weniger</translation>
    </message>
</context>
<context>
    <name>hillrun::GateList</name>
    <message>
        <source>Gates</source>
        <translation>Bedingungen</translation>
    </message>
    <message>
        <source>met</source>
        <translation>erfüllt</translation>
    </message>
    <message>
        <source>waited for</source>
        <translation>wird abgewartet</translation>
    </message>
    <message>
        <source>not known</source>
        <translation>nicht bekannt</translation>
    </message>
    <message>
        <source>%1 %2, wanted %3: %4</source>
        <translation>%1 %2, gewollt %3: %4</translation>
    </message>
</context>
<context>
    <name>hillrun::GivenRow</name>
    <message>
        <source>Corrected to</source>
        <translation>Korrigiert nach</translation>
    </message>
    <message>
        <source>What the curve was corrected to</source>
        <translation>Wonach die Kurve korrigiert ist</translation>
    </message>
    <message>
        <source>not known</source>
        <translation>nicht bekannt</translation>
    </message>
    <message>
        <source>smoothed over</source>
        <translation>geglättet über</translation>
    </message>
    <message>
        <source>smoothing of the curve</source>
        <translation>Glättung der Kurve</translation>
    </message>
    <message>
        <source>measured at</source>
        <translation>gemessen an</translation>
    </message>
    <message>
        <source>Where the curve was measured</source>
        <translation>Wo die Kurve gemessen wurde</translation>
    </message>
    <message>
        <source>the same as today</source>
        <translation>wie heute</translation>
    </message>
    <message>
        <source>crank</source>
        <translation>Kurbelwelle</translation>
    </message>
    <message>
        <source>hub</source>
        <translation>Nabe</translation>
    </message>
    <message>
        <source>wheel</source>
        <translation>Rad</translation>
    </message>
    <message>
        <source>A curve has no repeats: it proves nothing.</source>
        <translation>Eine Kurve hat keine Wiederholungen: sie belegt nichts.</translation>
    </message>
</context>
<context>
    <name>hillrun::GuardedApplication</name>
    <message>
        <source>That did not work; the day is as it was</source>
        <translation>Das ging nicht; der Tag ist, wie er war</translation>
    </message>
</context>
<context>
    <name>hillrun::GuideWindow</name>
    <message>
        <source>What the guide says</source>
        <translation>Was das Handbuch sagt</translation>
    </message>
    <message>
        <source>Guide</source>
        <translation>Handbuch</translation>
    </message>
    <message>
        <source>Search the guide</source>
        <translation>Im Handbuch suchen</translation>
    </message>
    <message>
        <source>Topics</source>
        <translation>Themen</translation>
    </message>
    <message>
        <source>Nothing is said of that.</source>
        <translation>Davon ist nicht die Rede.</translation>
    </message>
</context>
<context>
    <name>hillrun::ImportDialog</name>
    <message>
        <source>Import pulls</source>
        <translation>Läufe übernehmen</translation>
    </message>
    <message>
        <source>Reading… %1 %</source>
        <translation>Wird gelesen … %1 %</translation>
    </message>
    <message>
        <source>This file holds</source>
        <translation>Diese Datei enthält</translation>
    </message>
    <message>
        <source>What the file holds</source>
        <translation>Was die Datei enthält</translation>
    </message>
    <message>
        <source>pulls</source>
        <translation>Läufe</translation>
    </message>
    <message>
        <source>a curve by engine speed</source>
        <translation>eine Kurve über der Drehzahl</translation>
    </message>
    <message>
        <source>a log beside pulls</source>
        <translation>eine Aufzeichnung neben Läufen</translation>
    </message>
    <message>
        <source>Weather of these pulls:</source>
        <translation>Wetter dieser Läufe:</translation>
    </message>
    <message>
        <source>air temperature</source>
        <translation>Lufttemperatur</translation>
    </message>
    <message>
        <source>air pressure</source>
        <translation>Luftdruck</translation>
    </message>
    <message>
        <source>humidity</source>
        <translation>Feuchte</translation>
    </message>
    <message>
        <source>station pressure at the intake, not a forecast&apos;s sea-level figure</source>
        <translation>Druck am Ort an der Ansaugung, kein auf Meereshöhe umgerechneter Wert</translation>
    </message>
    <message>
        <source>Use a kept mapping:</source>
        <translation>Gesicherte Zuordnung nehmen:</translation>
    </message>
    <message>
        <source>none</source>
        <translation>keine</translation>
    </message>
    <message>
        <source>name for this mapping</source>
        <translation>Name für diese Zuordnung</translation>
    </message>
    <message>
        <source>Keep this mapping</source>
        <translation>Zuordnung sichern</translation>
    </message>
    <message>
        <source>Cancel</source>
        <translation>Abbrechen</translation>
    </message>
    <message>
        <source>Import</source>
        <translation>Übernehmen</translation>
    </message>
    <message>
        <source>%1 cannot be read yet. Say at the left how it is written, or what its columns mean.</source>
        <translation>%1 ist noch nicht lesbar. Links angeben, wie sie geschrieben ist oder was ihre Spalten bedeuten.</translation>
    </message>
    <message>
        <source>%1 in %2. Check what was understood.</source>
        <translation>%1 in %2. Bitte prüfen, was verstanden wurde.</translation>
    </message>
    <message>
        <source>Read with the mapping “%1”.</source>
        <translation>Gelesen mit der Zuordnung „%1“.</translation>
    </message>
    <message>
        <source>Reading…</source>
        <translation>Wird gelesen …</translation>
    </message>
    <message>
        <source>Kept</source>
        <translation>Gesichert</translation>
    </message>
    <message>
        <source>Fill in the weather, or take its tick away.</source>
        <translation>Das Wetter eintragen, oder seinen Haken wegnehmen.</translation>
    </message>
    <message>
        <source>Say which build %1 belongs to.</source>
        <translation>Angeben, zu welchem Stand %1 gehört.</translation>
    </message>
    <message>
        <source>No pull is ticked.</source>
        <translation>Kein Lauf ist angehakt.</translation>
    </message>
    <message>
        <source>Lay onto pulls …</source>
        <translation>Auf Läufe legen …</translation>
    </message>
</context>
<context>
    <name>hillrun::ImportReader</name>
    <message>
        <source>%1 needs more memory than there is.</source>
        <translation>%1 braucht mehr Speicher, als da ist.</translation>
    </message>
</context>
<context>
    <name>hillrun::KeepRow</name>
    <message>
        <source>Date of the check</source>
        <translation>Datum der Prüfung</translation>
    </message>
    <message>
        <source>today</source>
        <translation>heute</translation>
    </message>
    <message>
        <source>Keep</source>
        <translation>Aufheben</translation>
    </message>
    <message>
        <source>Keep the check with the day&apos;s cell, dated</source>
        <translation>Die Prüfung mit Datum beim Prüfstand des Tages aufheben</translation>
    </message>
    <message>
        <source>Clear</source>
        <translation>Leeren</translation>
    </message>
    <message>
        <source>A date such as 2026-05-16</source>
        <translation>Ein Datum wie 2026-05-16</translation>
    </message>
</context>
<context>
    <name>hillrun::KeySheet</name>
    <message>
        <source>Keys</source>
        <translation>Tasten</translation>
    </message>
    <message>
        <source>Keys and what they do</source>
        <translation>Tasten und was sie tun</translation>
    </message>
    <message>
        <source>keys</source>
        <translation>Tasten</translation>
    </message>
    <message>
        <source>what they do</source>
        <translation>was sie tun</translation>
    </message>
</context>
<context>
    <name>hillrun::LayLogDialog</name>
    <message>
        <source>not of this pull</source>
        <translation>nicht von diesem Lauf</translation>
    </message>
    <message>
        <source>fits %1 better</source>
        <translation>passt besser zu %1</translation>
    </message>
    <message>
        <source>too short</source>
        <translation>zu kurz</translation>
    </message>
    <message>
        <source>a speed hardly moves</source>
        <translation>eine Drehzahl bewegt sich kaum</translation>
    </message>
    <message>
        <source>fits in two places</source>
        <translation>passt an zwei Stellen</translation>
    </message>
    <message>
        <source>%1, by hand</source>
        <translation>%1, von Hand</translation>
    </message>
    <message>
        <source>%1, but %2 fits alike</source>
        <translation>%1, aber %2 passt ebenso</translation>
    </message>
    <message>
        <source>%1, but others fit alike</source>
        <translation>%1, aber andere passen ebenso</translation>
    </message>
    <message>
        <source>%1, apart by %2 rpm</source>
        <translation>%1, um %2 rpm auseinander</translation>
    </message>
    <message>
        <source>Lay a log onto pulls</source>
        <translation>Aufzeichnung auf Läufe legen</translation>
    </message>
    <message>
        <source>pull</source>
        <translation>Lauf</translation>
    </message>
    <message>
        <source>build</source>
        <translation>Stand</translation>
    </message>
    <message>
        <source>how the log lies on it</source>
        <translation>wie die Aufzeichnung darauf liegt</translation>
    </message>
    <message>
        <source>Pulls and how the log lies on each</source>
        <translation>Läufe, und wie die Aufzeichnung auf jedem liegt</translation>
    </message>
    <message>
        <source>Cancel</source>
        <translation>Abbrechen</translation>
    </message>
    <message>
        <source>Lay it on</source>
        <translation>Auflegen</translation>
    </message>
    <message>
        <source>The log&apos;s clock at the pull&apos;s zero:</source>
        <translation>Uhr der Aufzeichnung beim Nullpunkt des Laufs:</translation>
    </message>
    <message>
        <source>what the log&apos;s clock shows at the pull&apos;s zero</source>
        <translation>was die Uhr der Aufzeichnung beim Nullpunkt des Laufs zeigt</translation>
    </message>
    <message>
        <source>Find it again</source>
        <translation>Neu suchen</translation>
    </message>
    <message>
        <source>Trying %1 on %2 …</source>
        <translation>%1 wird an %2 probiert …</translation>
    </message>
    <message>
        <source>%1 fits %2. Its channels are added there.</source>
        <translation>%1 passt zu %2. Ihre Kanäle kommen dort hinzu.</translation>
    </message>
    <message>
        <source>%1 fits %2 alike: tick the one it was recorded with.</source>
        <translation>%1 passt ebenso zu %2: den anhaken, mit dem sie gemacht wurde.</translation>
    </message>
    <message>
        <source>%1 fits no pull of this day.</source>
        <translation>%1 passt zu keinem Lauf dieses Tages.</translation>
    </message>
    <message>
        <source>%1 s together; the speeds are apart by %2 rpm where %3 would be usual.</source>
        <translation>%1 s gemeinsam; die Drehzahlen liegen %2 rpm auseinander, wo %3 üblich wären.</translation>
    </message>
    <message>
        <source>The log&apos;s clock runs %1 % against the pull&apos;s.</source>
        <translation>Die Uhr der Aufzeichnung läuft %1 % gegen die des Laufs.</translation>
    </message>
    <message>
        <source>Adds %1.</source>
        <translation>Fügt hinzu: %1.</translation>
    </message>
</context>
<context>
    <name>hillrun::LimitsDialog</name>
    <message>
        <source>Limits while a pull runs</source>
        <translation>Grenzen während eines Laufs</translation>
    </message>
    <message>
        <source>When one is passed, the window says what it is and asks to close the throttle. The usual figures are common practice, not your engine&apos;s: put its maker&apos;s in their place. An empty field is not watched.</source>
        <translation>Wird eine überschritten, sagt das Fenster, welche, und bittet, das Gas zu schließen. Die üblichen Werte sind gängige Praxis, nicht die dieses Motors: die des Herstellers einsetzen. Ein leeres Feld wird nicht überwacht.</translation>
    </message>
    <message>
        <source>This is no safety device: it can be late, it can miss, and it never touches the engine or the brake. Keep your own watch, alarms and stops.</source>
        <translation>Dies ist keine Sicherheitseinrichtung: Es kann zu spät kommen oder etwas übersehen und greift nie in Motor oder Bremse ein. Eigene Aufsicht, Warnungen und Abschaltungen behalten.</translation>
    </message>
    <message>
        <source>Usual ones</source>
        <translation>Übliche</translation>
    </message>
    <message>
        <source>Use these</source>
        <translation>Diese benutzen</translation>
    </message>
    <message>
        <source>Go back</source>
        <translation>Zurück</translation>
    </message>
    <message>
        <source>%1 %2</source>
        <translation>%1 %2</translation>
    </message>
    <message>
        <source>above</source>
        <translation>über</translation>
    </message>
    <message>
        <source>below</source>
        <translation>unter</translation>
    </message>
    <message>
        <source>usual: %1</source>
        <translation>üblich: %1</translation>
    </message>
</context>
<context>
    <name>hillrun::LinksDialog</name>
    <message>
        <source>Connections</source>
        <translation>Verbindungen</translation>
    </message>
    <message>
        <source>Add</source>
        <translation>Hinzufügen</translation>
    </message>
    <message>
        <source>Remove</source>
        <translation>Entfernen</translation>
    </message>
    <message>
        <source>Use these</source>
        <translation>Diese benutzen</translation>
    </message>
    <message>
        <source>Go back</source>
        <translation>Zurück</translation>
    </message>
    <message>
        <source>Cell</source>
        <translation>Prüfstand</translation>
    </message>
    <message>
        <source>Telemetry over TCP</source>
        <translation>Telemetrie über TCP</translation>
    </message>
    <message>
        <source>Telemetry over a serial port</source>
        <translation>Telemetrie über eine serielle Leitung</translation>
    </message>
    <message>
        <source>Weather, NMEA over TCP</source>
        <translation>Wetter, NMEA über TCP</translation>
    </message>
    <message>
        <source>Weather, NMEA over a serial port</source>
        <translation>Wetter, NMEA über eine serielle Leitung</translation>
    </message>
    <message>
        <source>Registers, Modbus TCP</source>
        <translation>Register, Modbus TCP</translation>
    </message>
    <message>
        <source>Port</source>
        <translation>Port</translation>
    </message>
    <message>
        <source>Speed of the line</source>
        <translation>Geschwindigkeit der Leitung</translation>
    </message>
    <message>
        <source>register map; empty: the simulated cell&apos;s</source>
        <translation>Registerliste; leer: die des simulierten Prüfstands</translation>
    </message>
    <message>
        <source>in use</source>
        <translation>in Gebrauch</translation>
    </message>
    <message>
        <source>Test</source>
        <translation>Probieren</translation>
    </message>
    <message>
        <source>Listens for a few seconds and says what came</source>
        <translation>Hört einige Sekunden zu und sagt, was kam</translation>
    </message>
    <message>
        <source>Name</source>
        <translation>Name</translation>
    </message>
    <message>
        <source>Kind</source>
        <translation>Art</translation>
    </message>
    <message>
        <source>Host</source>
        <translation>Rechner</translation>
    </message>
    <message>
        <source>Serial port</source>
        <translation>Serielle Leitung</translation>
    </message>
    <message>
        <source>Line speed</source>
        <translation>Baudrate</translation>
    </message>
    <message>
        <source>Map</source>
        <translation>Liste</translation>
    </message>
    <message>
        <source>%1 (not in use)</source>
        <translation>%1 (nicht in Gebrauch)</translation>
    </message>
    <message>
        <source>Add the cell&apos;s telemetry and the weather station.</source>
        <translation>Die Telemetrie des Prüfstands und die Wetterstation hinzufügen.</translation>
    </message>
    <message>
        <source>The address is not complete.</source>
        <translation>Die Adresse ist unvollständig.</translation>
    </message>
    <message>
        <source>Listening …</source>
        <translation>Hört zu …</translation>
    </message>
</context>
<context>
    <name>hillrun::LoadCellPanel</name>
    <message>
        <source>Masses on the arm</source>
        <translation>Massen am Hebel</translation>
    </message>
    <message>
        <source>arm</source>
        <translation>Hebel</translation>
    </message>
    <message>
        <source>From the middle of the shaft to where the mass hangs, level</source>
        <translation>Von der Wellenmitte bis dahin, wo die Masse hängt, waagrecht</translation>
    </message>
    <message>
        <source>arm known within</source>
        <translation>Hebel bekannt auf</translation>
    </message>
    <message>
        <source>95&#xa0;%</source>
        <translation>95&#xa0;%</translation>
    </message>
    <message>
        <source>masses known within</source>
        <translation>Massen bekannt auf</translation>
    </message>
    <message>
        <source>95&#xa0;%, of all masses alike</source>
        <translation>95&#xa0;%, aller Massen gleich</translation>
    </message>
    <message>
        <source>gravity</source>
        <translation>Schwere</translation>
    </message>
    <message>
        <source>Of the place; left open: 9.80665</source>
        <translation>Am Ort; offen gelassen: 9,80665</translation>
    </message>
    <message>
        <source>As they are hung and taken off: begin and end with nothing on the arm (0). Nobody under the load; your cell&apos;s own rules go first.</source>
        <translation>Wie sie angehängt und abgenommen werden: ohne Masse (0) beginnen und enden. Niemand unter der Last; die Regeln Ihres Prüfstands gehen vor.</translation>
    </message>
    <message>
        <source>hung</source>
        <translation>angehängt</translation>
    </message>
    <message>
        <source>shown</source>
        <translation>gezeigt</translation>
    </message>
    <message>
        <source>Mass %1</source>
        <translation>Masse %1</translation>
    </message>
    <message>
        <source>Torque shown with mass %1</source>
        <translation>Drehmoment, das mit Masse %1 gezeigt wird</translation>
    </message>
    <message>
        <source>What the load cell makes of them</source>
        <translation>Was die Kraftmessdose daraus macht</translation>
    </message>
    <message>
        <source>Type the arm and at least two masses with what the dyno shows.</source>
        <translation>Den Hebel und mindestens zwei Massen mit dem eingeben, was der Prüfstand zeigt.</translation>
    </message>
    <message>
        <source>Keep the check of the load cell</source>
        <translation>Die Prüfung der Kraftmessdose aufheben</translation>
    </message>
    <message>
        <source>Take the check of the load cell away</source>
        <translation>Die Prüfung der Kraftmessdose wegnehmen</translation>
    </message>
</context>
<context>
    <name>hillrun::LogPicture</name>
    <message>
        <source>Engine speed of the pull and of the log</source>
        <translation>Motordrehzahl von Lauf und Aufzeichnung</translation>
    </message>
    <message>
        <source>Drag to move the log along the pull</source>
        <translation>Ziehen, um die Aufzeichnung am Lauf entlangzuschieben</translation>
    </message>
    <message>
        <source>the log lies %1 s later than the pull</source>
        <translation>die Aufzeichnung liegt %1 s später als der Lauf</translation>
    </message>
    <message>
        <source>the pull alone, no log on it yet</source>
        <translation>der Lauf allein, noch keine Aufzeichnung darauf</translation>
    </message>
    <message>
        <source>s</source>
        <translation>s</translation>
    </message>
    <message>
        <source>rpm</source>
        <translation>rpm</translation>
    </message>
    <message>
        <source>pull</source>
        <translation>Lauf</translation>
    </message>
    <message>
        <source>log</source>
        <translation>Aufzeichnung</translation>
    </message>
</context>
<context>
    <name>hillrun::LogbookPage</name>
    <message>
        <source>Take back forgetting</source>
        <translation>Vergessen zurücknehmen</translation>
    </message>
    <message>
        <source>Search all days</source>
        <translation>Alle Tage durchsuchen</translation>
    </message>
    <message>
        <source>Beginnings of words: article, part, setting, operator, date; or over 70 kW</source>
        <translation>Wortanfänge: Prüfling, Teil, Einstellung, Bediener, Datum; oder mehr als 70 kW</translation>
    </message>
    <message>
        <source>Search: a part, an article, a name, 2026-05, over 70 kW</source>
        <translation>Suchen: ein Teil, ein Prüfling, ein Name, 2026-05, mehr als 70 kW</translation>
    </message>
    <message>
        <source>Order of the days</source>
        <translation>Reihenfolge der Tage</translation>
    </message>
    <message>
        <source>newest first</source>
        <translation>neueste zuerst</translation>
    </message>
    <message>
        <source>oldest first</source>
        <translation>älteste zuerst</translation>
    </message>
    <message>
        <source>by name</source>
        <translation>nach Name</translation>
    </message>
    <message>
        <source>by article</source>
        <translation>nach Prüfling</translation>
    </message>
    <message>
        <source>most power first</source>
        <translation>meiste Leistung zuerst</translation>
    </message>
    <message>
        <source>Days</source>
        <translation>Tage</translation>
    </message>
    <message>
        <source>Enter opens the day, Delete forgets it: its folder stays</source>
        <translation>Enter öffnet den Tag, Entf vergisst ihn: sein Ordner bleibt</translation>
    </message>
    <message>
        <source>All days: %1</source>
        <translation>Alle Tage: %1</translation>
    </message>
    <message>
        <source>Found: %1</source>
        <translation>Gefunden: %1</translation>
    </message>
    <message>
        <source>No day fits. Fewer or shorter words find more.</source>
        <translation>Kein Tag passt. Weniger oder kürzere Wörter finden mehr.</translation>
    </message>
    <message>
        <source>The logbook is empty. Days enter it when they are saved.</source>
        <translation>Das Logbuch ist leer. Tage kommen hinein, wenn sie gesichert werden.</translation>
    </message>
    <message>
        <source>The day is not where it was</source>
        <translation>Der Tag ist nicht, wo er war</translation>
    </message>
    <message>
        <source>%1 on %2 is not there. If it was moved, open it from its new place and save it.</source>
        <translation>%1 auf %2 ist nicht da. Wurde der Tag verschoben, von seinem neuen Ort öffnen und sichern.</translation>
    </message>
    <message>
        <source>All days, and two beside each other</source>
        <translation>Alle Tage, und zwei nebeneinander</translation>
    </message>
    <message>
        <source>Cell</source>
        <translation>Prüfstand</translation>
    </message>
    <message>
        <source>What the cell has learned from its days</source>
        <translation>Was der Prüfstand aus seinen Tagen gelernt hat</translation>
    </message>
    <message>
        <source>Search the days</source>
        <translation>Die Tage durchsuchen</translation>
    </message>
    <message>
        <source>Type what stands in a day</source>
        <translation>Tippen, was in einem Tag steht</translation>
    </message>
    <message>
        <source>Forget the day</source>
        <translation>Den Tag vergessen</translation>
    </message>
    <message>
        <source>Takes the chosen days out of the logbook; their folders stay</source>
        <translation>Nimmt die gewählten Tage aus dem Logbuch; ihre Ordner bleiben</translation>
    </message>
    <message>
        <source>Logbook</source>
        <translation>Logbuch</translation>
    </message>
    <message>
        <source>All days, and what the cell has learned</source>
        <translation>Alle Tage, und was der Prüfstand gelernt hat</translation>
    </message>
    <message>
        <source>Clear the search</source>
        <translation>Suche leeren</translation>
    </message>
    <message>
        <source>That is the open day</source>
        <translation>Das ist der offene Tag</translation>
    </message>
    <message>
        <source>Its own builds stand beside each other already. Choose another day.</source>
        <translation>Seine eigenen Stände stehen schon nebeneinander. Einen anderen Tag wählen.</translation>
    </message>
    <message>
        <source>Choose a day and its build, then put it beside today&apos;s</source>
        <translation>Einen Tag und seinen Stand wählen, dann neben die heutigen stellen</translation>
    </message>
    <message>
        <source>Beside today&apos;s</source>
        <translation>Neben die heutigen</translation>
    </message>
    <message>
        <source>Puts the chosen build beside those of the open day</source>
        <translation>Stellt den gewählten Stand neben die des offenen Tages</translation>
    </message>
    <message>
        <source>Build of another day …</source>
        <translation>Stand eines anderen Tages …</translation>
    </message>
    <message>
        <source>Looks in the logbook for a build to put beside today&apos;s</source>
        <translation>Sucht im Logbuch einen Stand, um ihn neben die heutigen zu stellen</translation>
    </message>
    <message>
        <source>Too many days chosen</source>
        <translation>Zu viele Tage gewählt</translation>
    </message>
    <message>
        <source>Only days that have been seen in the list can be forgotten. Choose fewer.</source>
        <translation>Nur Tage, die in der Liste zu sehen waren, lassen sich vergessen. Weniger wählen.</translation>
    </message>
    <message>
        <source>Takes the days that were forgotten last into the logbook again</source>
        <translation>Nimmt die zuletzt vergessenen Tage wieder ins Logbuch auf</translation>
    </message>
    <message>
        <source>To the days that were found</source>
        <translation>Zu den gefundenen Tagen</translation>
    </message>
    <message>
        <source>From the search into the list</source>
        <translation>Aus der Suche in die Liste</translation>
    </message>
</context>
<context>
    <name>hillrun::MainWindow</name>
    <message>
        <source>Untitled day</source>
        <translation>Tag ohne Namen</translation>
    </message>
    <message>
        <source> · read only</source>
        <translation> · nur lesen</translation>
    </message>
    <message>
        <source>Hill Run</source>
        <translation>Hill Run</translation>
    </message>
    <message>
        <source>%1[*] – Hill Run</source>
        <translation>%1[*] – Hill Run</translation>
    </message>
    <message>
        <source>Undo</source>
        <translation>Rückgängig</translation>
    </message>
    <message>
        <source>Undo: %1</source>
        <translation>Rückgängig: %1</translation>
    </message>
    <message>
        <source>Redo</source>
        <translation>Wiederholen</translation>
    </message>
    <message>
        <source>Redo: %1</source>
        <translation>Wiederholen: %1</translation>
    </message>
    <message>
        <source>New day</source>
        <translation>Neuer Tag</translation>
    </message>
    <message>
        <source>Begin a day and plan its pulls</source>
        <translation>Beginnt einen Tag und plant seine Läufe</translation>
    </message>
    <message>
        <source>Open a day folder …</source>
        <translation>Ordner eines Tages öffnen …</translation>
    </message>
    <message>
        <source>Open a day folder</source>
        <translation>Ordner eines Tages öffnen</translation>
    </message>
    <message>
        <source>Open a day package …</source>
        <translation>Paket eines Tages öffnen …</translation>
    </message>
    <message>
        <source>Open a zipped day</source>
        <translation>Öffnet einen gepackten Tag</translation>
    </message>
    <message>
        <source>Import logger files …</source>
        <translation>Logger-Dateien übernehmen …</translation>
    </message>
    <message>
        <source>Add pulls from other loggers&apos; text files</source>
        <translation>Fügt Läufe aus Textdateien anderer Logger hinzu</translation>
    </message>
    <message>
        <source>Trace curves from a picture …</source>
        <translation>Kurven von einem Bild nachzeichnen …</translation>
    </message>
    <message>
        <source>Read curves off a picture or a PDF page of a sheet</source>
        <translation>Liest Kurven von einem Bild oder einer PDF-Seite eines Blatts</translation>
    </message>
    <message>
        <source>Type a curve …</source>
        <translation>Kurve eintippen …</translation>
    </message>
    <message>
        <source>Peaks or points of a curve that exists on paper only</source>
        <translation>Spitzen oder Punkte einer Kurve, die es nur auf Papier gibt</translation>
    </message>
    <message>
        <source>Save</source>
        <translation>Sichern</translation>
    </message>
    <message>
        <source>Write the edits into the day</source>
        <translation>Schreibt die Änderungen in den Tag</translation>
    </message>
    <message>
        <source>Save as …</source>
        <translation>Sichern unter …</translation>
    </message>
    <message>
        <source>Write the day to another folder or package</source>
        <translation>Schreibt den Tag in einen anderen Ordner oder ein Paket</translation>
    </message>
    <message>
        <source>Day package …</source>
        <translation>Paket des Tages …</translation>
    </message>
    <message>
        <source>The day with its raw data as one zip</source>
        <translation>Der Tag mit seinen Rohdaten als ein zip</translation>
    </message>
    <message>
        <source>Write a day package</source>
        <translation>Paket des Tages schreiben</translation>
    </message>
    <message>
        <source>Day package (*.zip)</source>
        <translation>Paket eines Tages (*.zip)</translation>
    </message>
    <message>
        <source>What was kept …</source>
        <translation>Aufgehobenes …</translation>
    </message>
    <message>
        <source>Edits and recordings that are in no day yet</source>
        <translation>Änderungen und Aufzeichnungen, die noch in keinem Tag sind</translation>
    </message>
    <message>
        <source>Close the day</source>
        <translation>Tag schließen</translation>
    </message>
    <message>
        <source>Quit</source>
        <translation>Beenden</translation>
    </message>
    <message>
        <source>Power or torque</source>
        <translation>Leistung oder Drehmoment</translation>
    </message>
    <message>
        <source>Switch the curves between power and torque</source>
        <translation>Schaltet die Kurven zwischen Leistung und Drehmoment um</translation>
    </message>
    <message>
        <source>Light or dark</source>
        <translation>Hell oder dunkel</translation>
    </message>
    <message>
        <source>Paper by day, dark in the cell at night</source>
        <translation>Papier am Tag, dunkel nachts im Prüfstand</translation>
    </message>
    <message>
        <source>Search commands</source>
        <translation>Befehle suchen</translation>
    </message>
    <message>
        <source>Full screen</source>
        <translation>Ganzer Bildschirm</translation>
    </message>
    <message>
        <source>Next page</source>
        <translation>Nächste Seite</translation>
    </message>
    <message>
        <source>Page before</source>
        <translation>Vorige Seite</translation>
    </message>
    <message>
        <source>Keys</source>
        <translation>Tasten</translation>
    </message>
    <message>
        <source>Every key and what it does</source>
        <translation>Jede Taste und was sie tut</translation>
    </message>
    <message>
        <source>About Hill Run</source>
        <translation>Über Hill Run</translation>
    </message>
    <message>
        <source>Version and licences</source>
        <translation>Version und Lizenzen</translation>
    </message>
    <message>
        <source>Settings …</source>
        <translation>Einstellungen …</translation>
    </message>
    <message>
        <source>Colours, units, paper, folders</source>
        <translation>Farben, Einheiten, Papier, Ordner</translation>
    </message>
    <message>
        <source>Two-minute tour</source>
        <translation>Zwei-Minuten-Rundgang</translation>
    </message>
    <message>
        <source>A demo day, and what is where</source>
        <translation>Ein Beispieltag, und was wo ist</translation>
    </message>
    <message>
        <source>Copy picture</source>
        <translation>Bild kopieren</translation>
    </message>
    <message>
        <source>The boards as a picture, to paste elsewhere</source>
        <translation>Die Tafeln als Bild, zum Einfügen anderswo</translation>
    </message>
    <message>
        <source>Copy table</source>
        <translation>Tabelle kopieren</translation>
    </message>
    <message>
        <source>The numbers as a table, to paste elsewhere</source>
        <translation>Die Zahlen als Tabelle, zum Einfügen anderswo</translation>
    </message>
    <message>
        <source>Recent days</source>
        <translation>Letzte Tage</translation>
    </message>
    <message>
        <source>On a board: move the cursor</source>
        <translation>Auf einer Tafel: den Zeiger bewegen</translation>
    </message>
    <message>
        <source>On the day strip: the pull before or after</source>
        <translation>Im Tagesband: der Lauf davor oder danach</translation>
    </message>
    <message>
        <source>In a number: one more or less</source>
        <translation>In einer Zahl: eins mehr oder weniger</translation>
    </message>
    <message>
        <source>In the picture of a file: split, join, trim its pulls</source>
        <translation>Im Bild einer Datei: ihre Läufe teilen, verbinden, beschneiden</translation>
    </message>
    <message>
        <source>In a number: take the typing back. Elsewhere: close the window on top</source>
        <translation>In einer Zahl: das Getippte zurücknehmen. Sonst: das oberste Fenster schließen</translation>
    </message>
    <message>
        <source>Guide</source>
        <translation>Handbuch</translation>
    </message>
    <message>
        <source>What this page is for, and everything else</source>
        <translation>Wozu diese Seite da ist, und alles Weitere</translation>
    </message>
    <message>
        <source>The guide is not there</source>
        <translation>Das Handbuch ist nicht da</translation>
    </message>
    <message>
        <source>It is installed with the program, under share/hillrun/guide.</source>
        <translation>Es wird mit dem Programm installiert, unter share/hillrun/guide.</translation>
    </message>
    <message>
        <source>Change the use</source>
        <translation>Die Nutzung ändern</translation>
    </message>
    <message>
        <source>Use: %1 rpm …</source>
        <translation>Nutzung: %1 rpm …</translation>
    </message>
    <message>
        <source>Use: whole range …</source>
        <translation>Nutzung: ganzer Bereich …</translation>
    </message>
    <message>
        <source>What the builds are wanted for …</source>
        <translation>Wofür die Stände gedacht sind …</translation>
    </message>
    <message>
        <source>The speeds that count: a range, one speed held, a gear, or weights</source>
        <translation>Die Drehzahlen, die zählen: ein Bereich, eine gehaltene Drehzahl, ein Gang oder Gewichte</translation>
    </message>
    <message>
        <source>The logbook has this day from elsewhere, with other contents: %1. It stays as it is there.</source>
        <translation>Das Logbuch hat diesen Tag von anderswo, mit anderem Inhalt: %1. Dort bleibt er, wie er ist.</translation>
    </message>
    <message>
        <source>Understood</source>
        <translation>Verstanden</translation>
    </message>
    <message>
        <source>The day enters the logbook later: %1</source>
        <translation>Der Tag kommt später ins Logbuch: %1</translation>
    </message>
</context>
<context>
    <name>hillrun::NumberField</name>
    <message>
        <source>not taken: a number from %1 to %2 is wanted here</source>
        <translation>nicht übernommen: hier wird eine Zahl von %1 bis %2 erwartet</translation>
    </message>
</context>
<context>
    <name>hillrun::OrderPanel</name>
    <message>
        <source>Order of the pulls</source>
        <translation>Reihenfolge der Läufe</translation>
    </message>
    <message>
        <source>Design</source>
        <translation>Plan</translation>
    </message>
    <message>
        <source>Makes the order of the pulls anew</source>
        <translation>Macht die Reihenfolge der Läufe neu</translation>
    </message>
    <message>
        <source>by hand</source>
        <translation>von Hand</translation>
    </message>
    <message>
        <source>Pulls a set</source>
        <translation>Läufe je Serie</translation>
    </message>
    <message>
        <source>Pulls of one build in a row</source>
        <translation>Läufe eines Stands hintereinander</translation>
    </message>
    <message>
        <source> pulls a set</source>
        <translation> Läufe je Serie</translation>
    </message>
    <message>
        <source>One pull a set less</source>
        <translation>Ein Lauf je Serie weniger</translation>
    </message>
    <message>
        <source>One pull a set more</source>
        <translation>Ein Lauf je Serie mehr</translation>
    </message>
    <message>
        <source>Change the order of the pulls</source>
        <translation>Reihenfolge der Läufe ändern</translation>
    </message>
    <message>
        <source>No sweep was planned</source>
        <translation>Keine Stufen geplant</translation>
    </message>
    <message>
        <source>Other builds have pulls already. Add builds for the steps by hand.</source>
        <translation>Andere Stände haben schon Läufe. Stände für die Stufen von Hand hinzufügen.</translation>
    </message>
    <message>
        <source>Plan %1</source>
        <translation>%1 planen</translation>
    </message>
    <message>
        <source>Change the pulls a set</source>
        <translation>Läufe je Serie ändern</translation>
    </message>
    <message>
        <source>Sound: drift can be told from the parts.</source>
        <translation>Solide: Drift ist von den Teilen zu trennen.</translation>
    </message>
    <message>
        <source>%1 (needs %2 builds)</source>
        <translation>%1 (braucht %2 Stände)</translation>
    </message>
    <message>
        <source>%1 is taken off and fitted again in between.</source>
        <translation>%1 wird dazwischen ab- und wieder angebaut.</translation>
    </message>
</context>
<context>
    <name>hillrun::OrderStrip</name>
    <message>
        <source>Order of the pulls</source>
        <translation>Reihenfolge der Läufe</translation>
    </message>
    <message>
        <source>Drag to put the pulls in another order. Ctrl and arrows move, Insert doubles, Delete takes out.</source>
        <translation>Ziehen, um die Läufe umzuordnen. Strg und Pfeile schieben, Einfg verdoppelt, Entf nimmt heraus.</translation>
    </message>
    <message>
        <source>pull %1: build %2, done</source>
        <translation>Lauf %1: Stand %2, gefahren</translation>
    </message>
    <message>
        <source>pull %1: build %2</source>
        <translation>Lauf %1: Stand %2</translation>
    </message>
    <message>
        <source>No pulls planned yet: choose a design.</source>
        <translation>Noch keine Läufe geplant: einen Plan wählen.</translation>
    </message>
</context>
<context>
    <name>hillrun::OtherDays</name>
    <message>
        <source>Put %1 beside today&apos;s builds</source>
        <translation>%1 neben die heutigen Stände stellen</translation>
    </message>
    <message>
        <source>No longer put %1 beside</source>
        <translation>%1 nicht mehr danebenstellen</translation>
    </message>
</context>
<context>
    <name>hillrun::PairClaims</name>
    <message>
        <source>named beforehand</source>
        <translation>vorher genannt</translation>
    </message>
    <message>
        <source>Judge this pair by its own band, because it was named before the pulls. All others of the day are then judged by the wider band over all pairs.</source>
        <translation>Dieses Paar nach seinem eigenen Band beurteilen, weil es vor den Läufen genannt wurde. Alle anderen des Tages werden dann nach dem breiteren Band über alle Paare beurteilt.</translation>
    </message>
    <message>
        <source>Smallest difference that matters</source>
        <translation>Kleinster Unterschied, der zählt</translation>
    </message>
    <message>
        <source>With it “no difference that matters” can be said</source>
        <translation>Damit lässt sich „kein Unterschied, der zählt“ sagen</translation>
    </message>
    <message>
        <source>matters from</source>
        <translation>zählt ab</translation>
    </message>
    <message>
        <source>Change what matters</source>
        <translation>Ändern, was zählt</translation>
    </message>
    <message>
        <source>Name %1 to %2 beforehand</source>
        <translation>%1 zu %2 vorher nennen</translation>
    </message>
    <message>
        <source>No longer name %1 to %2</source>
        <translation>%1 zu %2 nicht mehr vorher nennen</translation>
    </message>
</context>
<context>
    <name>hillrun::PairOffers</name>
    <message>
        <source>Set %1 aside</source>
        <translation>%1 beiseitelegen</translation>
    </message>
    <message>
        <source>Leave it out of the sums, so that the comparison reaches further; Ctrl+Z takes it back</source>
        <translation>Aus der Rechnung lassen, damit der Vergleich weiter reicht; Strg+Z nimmt es zurück</translation>
    </message>
    <message>
        <source>it shortens the range that all pulls share</source>
        <translation>er verkürzt den Bereich, den alle Läufe teilen</translation>
    </message>
    <message>
        <source>Count on earlier days</source>
        <translation>Frühere Tage mitzählen</translation>
    </message>
    <message>
        <source>Takes today to repeat as this cell&apos;s earlier days do; the answer says so. Ctrl+Z takes it back</source>
        <translation>Nimmt an, dass sich der Tag wie frühere Tage dieses Prüfstands wiederholt; die Antwort sagt es dazu. Strg+Z nimmt es zurück</translation>
    </message>
    <message>
        <source>Count on earlier days&apos; repeats</source>
        <translation>Wiederholungen früherer Tage mitzählen</translation>
    </message>
</context>
<context>
    <name>hillrun::PairPane</name>
    <message>
        <source>Show as</source>
        <translation>Zeigen als</translation>
    </message>
    <message>
        <source>Which curve stands for a build. The difference always comes from all its pulls.</source>
        <translation>Welche Kurve für einen Stand steht. Der Unterschied kommt immer aus allen seinen Läufen.</translation>
    </message>
    <message>
        <source>drag across the curves to add a band</source>
        <translation>über die Kurven ziehen, um einen Bereich hinzuzufügen</translation>
    </message>
    <message>
        <source>From: the build that is compared against</source>
        <translation>Von: der Stand, gegen den verglichen wird</translation>
    </message>
    <message>
        <source>To: the build that is looked at</source>
        <translation>Zu: der Stand, der angesehen wird</translation>
    </message>
    <message>
        <source>Swap the two builds</source>
        <translation>Die beiden Stände tauschen</translation>
    </message>
    <message>
        <source>Average differences by band</source>
        <translation>Mittlere Unterschiede je Bereich</translation>
    </message>
    <message>
        <source>Add the band %1</source>
        <translation>Bereich %1 hinzufügen</translation>
    </message>
    <message>
        <source>Remove the band %1</source>
        <translation>Bereich %1 entfernen</translation>
    </message>
</context>
<context>
    <name>hillrun::PartForm</name>
    <message>
        <source>Interactions that were not run are at most</source>
        <translation>Nicht gefahrene Wechselwirkungen sind höchstens</translation>
    </message>
    <message>
        <source>Declared by you, there is no usual value: it widens every fair share that hangs on a combination nobody ran</source>
        <translation>Von Ihnen erklärt, es gibt keinen üblichen Wert: macht jeden gerechten Anteil breiter, der an einer Kombination hängt, die niemand gefahren hat</translation>
    </message>
    <message>
        <source>What counts as one part</source>
        <translation>Was als ein Teil zählt</translation>
    </message>
    <message>
        <source>Cost of the part</source>
        <translation>Kosten des Teils</translation>
    </message>
    <message>
        <source>Mass that it adds</source>
        <translation>Masse, die es hinzufügt</translation>
    </message>
    <message>
        <source>Expected gain, from</source>
        <translation>Erwarteter Gewinn, von</translation>
    </message>
    <message>
        <source>Expected gain, to</source>
        <translation>Erwarteter Gewinn, bis</translation>
    </message>
    <message>
        <source>Where the builds&apos; own costs do not say it</source>
        <translation>Wo die Kosten der Stände es nicht sagen</translation>
    </message>
    <message>
        <source>Where the builds&apos; own masses do not say it</source>
        <translation>Wo die Massen der Stände es nicht sagen</translation>
    </message>
    <message>
        <source>What somebody said it would give; best typed before the pulls</source>
        <translation>Was jemand vorhergesagt hat; am besten vor den Läufen eintragen</translation>
    </message>
    <message>
        <source>Cost</source>
        <translation>Kosten</translation>
    </message>
    <message>
        <source>Mass added</source>
        <translation>Mehrmasse</translation>
    </message>
    <message>
        <source>Expected from</source>
        <translation>Erwartet von</translation>
    </message>
    <message>
        <source>to</source>
        <translation>bis</translation>
    </message>
    <message>
        <source>Note the cost of %1</source>
        <translation>Kosten von %1 vermerken</translation>
    </message>
    <message>
        <source>Note the mass of %1</source>
        <translation>Masse von %1 vermerken</translation>
    </message>
    <message>
        <source>Declare a bound on interactions</source>
        <translation>Grenze für Wechselwirkungen erklären</translation>
    </message>
    <message>
        <source>Note what %1 is expected to give</source>
        <translation>Vermerken, was von %1 erwartet wird</translation>
    </message>
    <message>
        <source>Change what %1 counts with</source>
        <translation>Ändern, womit %1 zählt</translation>
    </message>
    <message>
        <source>What %1 counts with</source>
        <translation>Womit %1 zählt</translation>
    </message>
    <message>
        <source>by itself</source>
        <translation>für sich</translation>
    </message>
    <message>
        <source>with %1</source>
        <translation>mit %1</translation>
    </message>
    <message>
        <source>not at all</source>
        <translation>gar nicht</translation>
    </message>
    <message>
        <source>The number that was run in steps</source>
        <translation>Die Zahl, die in Schritten gefahren wurde</translation>
    </message>
    <message>
        <source>Say which number of %1 counts</source>
        <translation>Sagen, welche Zahl von %1 zählt</translation>
    </message>
    <message>
        <source>number %1: %2</source>
        <translation>Zahl %1: %2</translation>
    </message>
    <message>
        <source>choose</source>
        <translation>wählen</translation>
    </message>
</context>
<context>
    <name>hillrun::PartTable</name>
    <message>
        <source>What each part gives</source>
        <translation>Was jedes Teil bringt</translation>
    </message>
</context>
<context>
    <name>hillrun::PreparePage</name>
    <message>
        <source>Changes as they were done</source>
        <translation>Wechsel, wie sie gemacht wurden</translation>
    </message>
    <message>
        <source>%1 %2 → %3: %4</source>
        <translation>%1 %2 → %3: %4</translation>
    </message>
    <message>
        <source>nothing noted</source>
        <translation>nichts notiert</translation>
    </message>
    <message>
        <source>None yet. Pull asks for them when a build is changed.</source>
        <translation>Noch keine. „Fahren“ fragt danach, wenn ein Stand gewechselt wird.</translation>
    </message>
</context>
<context>
    <name>hillrun::ProtocolPanel</name>
    <message>
        <source>Each pull</source>
        <translation>Jeder Lauf</translation>
    </message>
    <message>
        <source>Start speed</source>
        <translation>Startdrehzahl</translation>
    </message>
    <message>
        <source>End speed</source>
        <translation>Enddrehzahl</translation>
    </message>
    <message>
        <source>Ramp</source>
        <translation>Rampe</translation>
    </message>
    <message>
        <source>Gear</source>
        <translation>Gang</translation>
    </message>
    <message>
        <source>Cool-down</source>
        <translation>Abkühlen</translation>
    </message>
    <message>
        <source>Time to change a build</source>
        <translation>Zeit, einen Stand zu wechseln</translation>
    </message>
    <message>
        <source>from</source>
        <translation>von</translation>
    </message>
    <message>
        <source>to</source>
        <translation>bis</translation>
    </message>
    <message>
        <source>ramp</source>
        <translation>Rampe</translation>
    </message>
    <message>
        <source>gear</source>
        <translation>Gang</translation>
    </message>
    <message>
        <source>cool-down</source>
        <translation>Abkühlen</translation>
    </message>
    <message>
        <source>change a build</source>
        <translation>Stand wechseln</translation>
    </message>
    <message>
        <source>Change the start speed</source>
        <translation>Startdrehzahl ändern</translation>
    </message>
    <message>
        <source>Change the end speed</source>
        <translation>Enddrehzahl ändern</translation>
    </message>
    <message>
        <source>Change the ramp</source>
        <translation>Rampe ändern</translation>
    </message>
    <message>
        <source>Change the gear</source>
        <translation>Gang ändern</translation>
    </message>
    <message>
        <source>Change the cool-down</source>
        <translation>Abkühlen ändern</translation>
    </message>
    <message>
        <source>Change the time for a change</source>
        <translation>Wechselzeit ändern</translation>
    </message>
    <message>
        <source>At %1 rpm: </source>
        <translation>Bei %1 rpm: </translation>
    </message>
</context>
<context>
    <name>hillrun::PullFlow</name>
    <message>
        <source>Fit build %1</source>
        <translation>Stand %1 einbauen</translation>
    </message>
    <message>
        <source>Record %1</source>
        <translation>%1 aufzeichnen</translation>
    </message>
    <message>
        <source>Date %1 by the logger</source>
        <translation>%1 nach dem Logger datieren</translation>
    </message>
    <message>
        <source>Fit build %1 again</source>
        <translation>Stand %1 neu anbauen</translation>
    </message>
</context>
<context>
    <name>hillrun::PullModel</name>
    <message>
        <source>pull</source>
        <translation>Lauf</translation>
    </message>
    <message>
        <source>time</source>
        <translation>Zeit</translation>
    </message>
    <message>
        <source>mean</source>
        <translation>Mittel</translation>
    </message>
    <message>
        <source>from set</source>
        <translation>zur Serie</translation>
    </message>
    <message>
        <source>remarks</source>
        <translation>Bemerkungen</translation>
    </message>
    <message>
        <source>fitted again</source>
        <translation>neu angebaut</translation>
    </message>
</context>
<context>
    <name>hillrun::PullPage</name>
    <message>
        <source>Gates</source>
        <translation>Bedingungen</translation>
    </message>
    <message>
        <source>Air temperature at the intake</source>
        <translation>Lufttemperatur an der Ansaugung</translation>
    </message>
    <message>
        <source>Station pressure, not the sea-level figure</source>
        <translation>Druck am Ort, nicht auf Meereshöhe</translation>
    </message>
    <message>
        <source>Relative humidity</source>
        <translation>Relative Feuchte</translation>
    </message>
    <message>
        <source>air</source>
        <translation>Luft</translation>
    </message>
    <message>
        <source>pressure</source>
        <translation>Druck</translation>
    </message>
    <message>
        <source>humidity</source>
        <translation>Feuchte</translation>
    </message>
    <message>
        <source>typed counts, not the station</source>
        <translation>Eingetipptes gilt, nicht die Station</translation>
    </message>
    <message>
        <source>When the station is wrong or stands in the wrong place</source>
        <translation>Wenn die Station falsch anzeigt oder am falschen Ort steht</translation>
    </message>
    <message>
        <source>rpm</source>
        <translation>rpm</translation>
    </message>
    <message>
        <source>engine speed, rpm</source>
        <translation>Motordrehzahl, rpm</translation>
    </message>
    <message>
        <source>live figure, as measured</source>
        <translation>laufender Wert, wie gemessen</translation>
    </message>
    <message>
        <source>Next</source>
        <translation>Als Nächstes</translation>
    </message>
    <message>
        <source>The pull runs</source>
        <translation>Der Lauf läuft</translation>
    </message>
    <message>
        <source>No cell connected</source>
        <translation>Kein Prüfstand verbunden</translation>
    </message>
    <message>
        <source>lost: %1</source>
        <translation>verloren: %1</translation>
    </message>
    <message>
        <source>connecting</source>
        <translation>wird verbunden</translation>
    </message>
    <message>
        <source>silent for %1</source>
        <translation>seit %1 still</translation>
    </message>
    <message>
        <source>live</source>
        <translation>laufend</translation>
    </message>
    <message>
        <source>%1 frames/s</source>
        <translation>%1 Zeilen/s</translation>
    </message>
    <message>
        <source>, %1 bad</source>
        <translation>, %1 schlecht</translation>
    </message>
    <message>
        <source>%1 %2</source>
        <translation>%1 %2</translation>
    </message>
    <message>
        <source>No connection. Press Ctrl+L to name the cell.</source>
        <translation>Keine Verbindung. Strg+L nennt den Prüfstand.</translation>
    </message>
    <message>
        <source>The journal cannot be written: %1. The pull is kept in memory.</source>
        <translation>Das Journal ist nicht zu schreiben: %1. Der Lauf ist im Speicher.</translation>
    </message>
    <message>
        <source>from the station: %1</source>
        <translation>von der Station: %1</translation>
    </message>
    <message>
        <source>type it, or connect a station; station pressure, not the sea-level figure</source>
        <translation>eintippen, oder eine Station verbinden; Druck am Ort, nicht auf Meereshöhe</translation>
    </message>
    <message>
        <source>typed by hand; give the station pressure</source>
        <translation>von Hand eingetippt; Druck am Ort angeben</translation>
    </message>
    <message>
        <source>not armed</source>
        <translation>nicht scharf</translation>
    </message>
    <message>
        <source>armed, no signal</source>
        <translation>scharf, kein Signal</translation>
    </message>
    <message>
        <source>armed</source>
        <translation>scharf</translation>
    </message>
    <message>
        <source>recording %1 s</source>
        <translation>zeichnet auf, %1 s</translation>
    </message>
    <message>
        <source>ending</source>
        <translation>endet</translation>
    </message>
    <message>
        <source>No day is open</source>
        <translation>Kein Tag ist offen</translation>
    </message>
    <message>
        <source>Keep %1, or set it aside?</source>
        <translation>%1 behalten oder beiseitelegen?</translation>
    </message>
    <message>
        <source>No build yet</source>
        <translation>Noch kein Stand</translation>
    </message>
    <message>
        <source>Pull of build %1</source>
        <translation>Lauf von Stand %1</translation>
    </message>
    <message>
        <source>Open a day, or begin one here: it is kept among your days.</source>
        <translation>Einen Tag öffnen, oder hier einen beginnen: er liegt unter den eigenen.</translation>
    </message>
    <message>
        <source>K keeps it, S sets it aside with a reason.</source>
        <translation>K behält ihn, S legt ihn mit einem Grund beiseite.</translation>
    </message>
    <message>
        <source>On the dyno: %1. Press B when %2 is fitted.</source>
        <translation>Auf dem Prüfstand: %1. B drücken, wenn %2 eingebaut ist.</translation>
    </message>
    <message>
        <source>%1 of %2 planned pulls are made.</source>
        <translation>%1 von %2 geplanten Läufen sind gefahren.</translation>
    </message>
    <message>
        <source>%1 cautions are not ticked (Prepare).</source>
        <translation>%1 Vorsichten sind nicht abgehakt (Planen).</translation>
    </message>
    <message>
        <source>%1 too short for a pull: kept, see “What was kept”.</source>
        <translation>%1 zu kurz für einen Lauf: aufgehoben, siehe „Aufgehobenes“.</translation>
    </message>
    <message>
        <source>The cell says build %1 is fitted, the day says %2.</source>
        <translation>Der Prüfstand sagt, Stand %1 ist eingebaut, der Tag sagt %2.</translation>
    </message>
    <message>
        <source>No limits: nothing is watched while a pull runs.</source>
        <translation>Keine Grenzen: während eines Laufs wird nichts überwacht.</translation>
    </message>
    <message>
        <source>%1 of %2 limits watched. No safety device.</source>
        <translation>%1 von %2 Grenzen überwacht. Keine Sicherheitseinrichtung.</translation>
    </message>
    <message>
        <source>Press B when %1 is fitted again.</source>
        <translation>B drücken, wenn %1 wieder angebaut ist.</translation>
    </message>
</context>
<context>
    <name>hillrun::PullPicture</name>
    <message>
        <source>Engine speed along the file, its pulls shaded</source>
        <translation>Motordrehzahl entlang der Datei, ihre Läufe schattiert</translation>
    </message>
    <message>
        <source>Drag an edge to trim a pull; double click to split it. By keys: arrows, S splits, J joins with the next, [ and ] set start and end</source>
        <translation>Eine Kante ziehen, um einen Lauf zu beschneiden; Doppelklick teilt ihn. Mit Tasten: Pfeile, S teilt, J verbindet mit dem nächsten, [ und ] setzen Anfang und Ende</translation>
    </message>
    <message>
        <source>pull %1: rows %2 to %3%4%5</source>
        <translation>Lauf %1: Zeilen %2 bis %3%4%5</translation>
    </message>
    <message>
        <source>, not used</source>
        <translation>, nicht benutzt</translation>
    </message>
    <message>
        <source>, chosen</source>
        <translation>, gewählt</translation>
    </message>
    <message>
        <source>cursor at row %1</source>
        <translation>Zeiger bei Zeile %1</translation>
    </message>
</context>
<context>
    <name>hillrun::PullTable</name>
    <message>
        <source>%1 rows, %2 s, to lie beside pulls</source>
        <translation>%1 Zeilen, %2 s, um neben Läufen zu liegen</translation>
    </message>
    <message>
        <source>a curve of %1 points</source>
        <translation>eine Kurve aus %1 Punkten</translation>
    </message>
    <message>
        <source>%1 rows, roller speed only</source>
        <translation>%1 Zeilen, nur Rollendrehzahl</translation>
    </message>
    <message>
        <source>%1 rpm · %2 s</source>
        <translation>%1 rpm · %2 s</translation>
    </message>
    <message>
        <source> · %1 kW</source>
        <translation> · %1 kW</translation>
    </message>
    <message>
        <source>use</source>
        <translation>nutzen</translation>
    </message>
    <message>
        <source>pull</source>
        <translation>Lauf</translation>
    </message>
    <message>
        <source>build</source>
        <translation>Stand</translation>
    </message>
    <message>
        <source>what it is</source>
        <translation>was es ist</translation>
    </message>
    <message>
        <source>made at</source>
        <translation>gemacht um</translation>
    </message>
    <message>
        <source>cannot be read yet</source>
        <translation>noch nicht lesbar</translation>
    </message>
    <message>
        <source>%1 · %2</source>
        <translation>%1 · %2</translation>
    </message>
    <message>
        <source>use %1</source>
        <translation>%1 nutzen</translation>
    </message>
    <message>
        <source>Not known: the pull goes by its place in the order</source>
        <translation>Nicht bekannt: der Lauf geht nach seinem Platz in der Reihe</translation>
    </message>
</context>
<context>
    <name>hillrun::QuestionPanel</name>
    <message>
        <source>Can this plan see it?</source>
        <translation>Kann dieser Plan es sehen?</translation>
    </message>
    <message>
        <source>Smallest difference that matters</source>
        <translation>Kleinster Unterschied, der zählt</translation>
    </message>
    <message>
        <source>Repeatability of one pull</source>
        <translation>Wiederholbarkeit eines Laufs</translation>
    </message>
    <message>
        <source>As measured</source>
        <translation>Wie gemessen</translation>
    </message>
    <message>
        <source>Take what this cell&apos;s earlier days repeat within</source>
        <translation>Nehmen, worin sich frühere Tage dieses Prüfstands wiederholen</translation>
    </message>
    <message>
        <source>smallest difference that matters</source>
        <translation>kleinster Unterschied, der zählt</translation>
    </message>
    <message>
        <source>one pull repeats within (sd)</source>
        <translation>ein Lauf wiederholt sich auf (s)</translation>
    </message>
    <message>
        <source>Change what matters</source>
        <translation>Ändern, was zählt</translation>
    </message>
    <message>
        <source>Change the repeatability</source>
        <translation>Wiederholbarkeit ändern</translation>
    </message>
    <message>
        <source>Take the measured repeatability</source>
        <translation>Gemessene Wiederholbarkeit nehmen</translation>
    </message>
    <message>
        <source>Plan two builds to see what the pulls can tell.</source>
        <translation>Zwei Stände planen, um zu sehen, was die Läufe sagen können.</translation>
    </message>
    <message>
        <source>This plan sees %1 % in %2 pulls, about %3.</source>
        <translation>Dieser Plan sieht %1 % in %2 Läufen, etwa %3.</translation>
    </message>
    <message>
        <source>This plan can prove nothing: take more than one pull a set.</source>
        <translation>Dieser Plan kann nichts belegen: mehr als einen Lauf je Serie nehmen.</translation>
    </message>
    <message>
        <source>To see %1 % even 30 pulls a set are too few: fit the builds again more often.</source>
        <translation>Um %1 % zu sehen, sind selbst 30 Läufe je Serie zu wenig: die Stände öfter neu anbauen.</translation>
    </message>
    <message>
        <source>To see %1 % even 30 pulls a set are too few.</source>
        <translation>Um %1 % zu sehen, reichen selbst 30 Läufe je Serie nicht.</translation>
    </message>
    <message>
        <source>To see %1 % on four days of five: %2 pulls a set, about %3.</source>
        <translation>Um %1 % an vier von fünf Tagen zu sehen: %2 Läufe je Serie, etwa %3.</translation>
    </message>
    <message>
        <source> Repeatability from %1 of this cell; were it as bad as it may be: %2 a set.</source>
        <translation> Wiederholbarkeit aus %1 dieses Prüfstands; wäre sie so schlecht, wie sie sein kann: %2 je Serie.</translation>
    </message>
    <message>
        <source>more than 30</source>
        <translation>mehr als 30</translation>
    </message>
    <message>
        <source> Repeatability not measured yet: half a per cent to start with.</source>
        <translation> Wiederholbarkeit noch nicht gemessen: ein halbes Prozent zum Anfang.</translation>
    </message>
    <message>
        <source> Refitting as this cell has taught.</source>
        <translation> Anbauen, wie dieser Prüfstand gelehrt hat.</translation>
    </message>
    <message>
        <source>Beside today&apos;s: %1</source>
        <translation>Neben den heutigen: %1</translation>
    </message>
    <message>
        <source>This day teaches what fitting again adds.</source>
        <translation>Dieser Tag lehrt, was das Anbauen ausmacht.</translation>
    </message>
    <message>
        <source>This cell knows it as %1&#xa0;% (80&#xa0;%: %2 to %3); each such day narrows it.</source>
        <translation>Dieser Prüfstand kennt es als %1&#xa0;% (80&#xa0;%: %2 bis %3); jeder solche Tag macht es enger.</translation>
    </message>
    <message>
        <source>This cell does not know it yet: %1 builds fitted again tell it.</source>
        <translation>Dieser Prüfstand kennt es noch nicht: %1 neu angebaute Stände sagen es.</translation>
    </message>
</context>
<context>
    <name>hillrun::RawTextPanel</name>
    <message>
        <source>The first lines of the file</source>
        <translation>Die ersten Zeilen der Datei</translation>
    </message>
    <message>
        <source>title</source>
        <translation>Titel</translation>
    </message>
    <message>
        <source>names</source>
        <translation>Namen</translation>
    </message>
    <message>
        <source>units</source>
        <translation>Einheiten</translation>
    </message>
    <message>
        <source>rows</source>
        <translation>Zeilen</translation>
    </message>
    <message>
        <source>left out</source>
        <translation>weggelassen</translation>
    </message>
    <message>
        <source>written as</source>
        <translation>geschrieben als</translation>
    </message>
    <message>
        <source>found</source>
        <translation>gefunden</translation>
    </message>
    <message>
        <source>separated by</source>
        <translation>getrennt durch</translation>
    </message>
    <message>
        <source>comma</source>
        <translation>Komma</translation>
    </message>
    <message>
        <source>semicolon</source>
        <translation>Semikolon</translation>
    </message>
    <message>
        <source>tab</source>
        <translation>Tabulator</translation>
    </message>
    <message>
        <source>bar</source>
        <translation>Strich</translation>
    </message>
    <message>
        <source>blanks</source>
        <translation>Leerzeichen</translation>
    </message>
    <message>
        <source>decimal sign</source>
        <translation>Dezimalzeichen</translation>
    </message>
    <message>
        <source>point</source>
        <translation>Punkt</translation>
    </message>
    <message>
        <source>names in line</source>
        <translation>Namen in Zeile</translation>
    </message>
    <message>
        <source>units in line</source>
        <translation>Einheiten in Zeile</translation>
    </message>
    <message>
        <source>first row in line</source>
        <translation>erste Messzeile</translation>
    </message>
    <message>
        <source>dates</source>
        <translation>Daten</translation>
    </message>
    <message>
        <source>day first</source>
        <translation>Tag zuerst</translation>
    </message>
    <message>
        <source>month first</source>
        <translation>Monat zuerst</translation>
    </message>
    <message>
        <source>rows a second</source>
        <translation>Zeilen je Sekunde</translation>
    </message>
    <message>
        <source>For a file without a time column, or with one that cannot be trusted</source>
        <translation>Für eine Datei ohne Zeitspalte, oder mit einer, der nicht zu trauen ist</translation>
    </message>
    <message>
        <source>when the first row was recorded</source>
        <translation>wann die erste Zeile aufgezeichnet wurde</translation>
    </message>
    <message>
        <source>A date and a time, such as 2026-05-16 09:12</source>
        <translation>Datum und Uhrzeit, etwa 2026-05-16 09:12</translation>
    </message>
    <message>
        <source>first row recorded at</source>
        <translation>erste Zeile aufgezeichnet um</translation>
    </message>
</context>
<context>
    <name>hillrun::ReportPage</name>
    <message>
        <source>The sheet as it will print</source>
        <translation>Das Blatt, wie es gedruckt wird</translation>
    </message>
    <message>
        <source>On the sheet</source>
        <translation>Auf dem Blatt</translation>
    </message>
    <message>
        <source>What changed, like for like</source>
        <translation>Änderungen, Bedingungen</translation>
    </message>
    <message>
        <source>Curves</source>
        <translation>Kurven</translation>
    </message>
    <message>
        <source>Difference with its band</source>
        <translation>Unterschied mit seinem Band</translation>
    </message>
    <message>
        <source>Averages, peaks, crossovers</source>
        <translation>Mittel, Spitzen, Kreuzungen</translation>
    </message>
    <message>
        <source>What was left out</source>
        <translation>Was weggelassen wurde</translation>
    </message>
    <message>
        <source>How it was worked out</source>
        <translation>Wie gerechnet wurde</translation>
    </message>
    <message>
        <source>Working the day out …</source>
        <translation>Der Tag wird ausgewertet …</translation>
    </message>
    <message>
        <source>No day is open. Press Ctrl+O to open one.</source>
        <translation>Kein Tag ist offen. Strg+O öffnet einen.</translation>
    </message>
    <message>
        <source>Pages behind it</source>
        <translation>Seiten dahinter</translation>
    </message>
    <message>
        <source>The other curve of Compare</source>
        <translation>Die andere Kurve von Vergleichen</translation>
    </message>
    <message>
        <source>All builds: the field</source>
        <translation>Alle Stände: das Feld</translation>
    </message>
    <message>
        <source>What each part gives: credit</source>
        <translation>Was jedes Teil gibt: Anteile</translation>
    </message>
    <message>
        <source>Builds of other days</source>
        <translation>Stände anderer Tage</translation>
    </message>
    <message>
        <source>Worth on the day&apos;s course</source>
        <translation>Auf der Strecke des Tages</translation>
    </message>
    <message>
        <source>Checks of the cell&apos;s instruments</source>
        <translation>Prüfungen der Geräte des Prüfstands</translation>
    </message>
</context>
<context>
    <name>hillrun::RoadPage</name>
    <message>
        <source>Course</source>
        <translation>Strecke</translation>
    </message>
    <message>
        <source>This course could not be read</source>
        <translation>Diese Strecke ließ sich nicht lesen</translation>
    </message>
    <message>
        <source>Course out of a file</source>
        <translation>Strecke aus einer Datei</translation>
    </message>
    <message>
        <source>Take the course as the use</source>
        <translation>Die Strecke als Nutzung nehmen</translation>
    </message>
    <message>
        <source>No day is open.</source>
        <translation>Kein Tag ist offen.</translation>
    </message>
    <message>
        <source>Working the day out …</source>
        <translation>Der Tag wird ausgewertet …</translation>
    </message>
    <message>
        <source>Nothing can be driven yet: %1.</source>
        <translation>Noch lässt sich nichts fahren: %1.</translation>
    </message>
    <message>
        <source>One build is driven; two are compared.</source>
        <translation>Ein Stand wird gefahren; zwei werden verglichen.</translation>
    </message>
    <message>
        <source>From a file …</source>
        <translation>Aus einer Datei …</translation>
    </message>
    <message>
        <source>As use</source>
        <translation>Als Nutzung</translation>
    </message>
    <message>
        <source>The time that the engine spends at each speed becomes what the builds are wanted for</source>
        <translation>Die Zeit, die der Motor bei jeder Drehzahl verbringt, wird zu dem, wofür die Stände gebraucht werden</translation>
    </message>
    <message>
        <source>Road</source>
        <translation>Straße</translation>
    </message>
    <message>
        <source>What a curve is worth where it is driven</source>
        <translation>Was eine Kurve dort wert ist, wo gefahren wird</translation>
    </message>
    <message>
        <source>Drive on %1</source>
        <translation>Fahren auf: %1</translation>
    </message>
    <message>
        <source>Courses (*.csv *.gpx *.GPX)</source>
        <translation>Strecken (*.csv *.gpx *.GPX)</translation>
    </message>
    <message>
        <source>Fit the drag area to a timed run</source>
        <translation>Die Luftwiderstandsfläche an eine gestoppte Fahrt anpassen</translation>
    </message>
    <message>
        <source>Fit the launch to a timed run</source>
        <translation>Den Start an eine gestoppte Fahrt anpassen</translation>
    </message>
    <message>
        <source>A table of length, gradient and corner speeds, or a track with heights (GPX)</source>
        <translation>Eine Tabelle von Länge, Steigung und Kurvengeschwindigkeiten, oder eine Spur mit Höhen (GPX)</translation>
    </message>
    <message>
        <source>One speed held (boat, aircraft)</source>
        <translation>Eine gehaltene Drehzahl (Boot, Flugzeug)</translation>
    </message>
    <message>
        <source>The speed that is held</source>
        <translation>Die gehaltene Drehzahl</translation>
    </message>
    <message>
        <source>By how much it goes up and down</source>
        <translation>Um wie viel sie auf und ab geht</translation>
    </message>
    <message>
        <source>Hold %1</source>
        <translation>%1 halten</translation>
    </message>
    <message>
        <source>Take the speed held as the use</source>
        <translation>Die gehaltene Drehzahl als Nutzung nehmen</translation>
    </message>
    <message>
        <source>One build is held; two are compared.</source>
        <translation>Ein Stand wird gehalten; zwei werden verglichen.</translation>
    </message>
    <message>
        <source>Nothing can be told yet: %1.</source>
        <translation>Noch lässt sich nichts sagen: %1.</translation>
    </message>
</context>
<context>
    <name>hillrun::SettingsDialog</name>
    <message>
        <source>Settings</source>
        <translation>Einstellungen</translation>
    </message>
    <message>
        <source>Write to a file …</source>
        <translation>In eine Datei schreiben …</translation>
    </message>
    <message>
        <source>Read from a file …</source>
        <translation>Aus einer Datei lesen …</translation>
    </message>
    <message>
        <source>Take over</source>
        <translation>Übernehmen</translation>
    </message>
    <message>
        <source>Go back</source>
        <translation>Zurück</translation>
    </message>
    <message>
        <source>%1: %2</source>
        <translation>%1: %2</translation>
    </message>
    <message>
        <source>Window and figures</source>
        <translation>Fenster und Zahlen</translation>
    </message>
    <message>
        <source>Language</source>
        <translation>Sprache</translation>
    </message>
    <message>
        <source>as the desktop</source>
        <translation>wie der Schreibtisch</translation>
    </message>
    <message>
        <source>Colours</source>
        <translation>Farben</translation>
    </message>
    <message>
        <source>light</source>
        <translation>hell</translation>
    </message>
    <message>
        <source>dark</source>
        <translation>dunkel</translation>
    </message>
    <message>
        <source>Units</source>
        <translation>Einheiten</translation>
    </message>
    <message>
        <source>Air standard</source>
        <translation>Luftnorm</translation>
    </message>
    <message>
        <source>Smoothing</source>
        <translation>Glättung</translation>
    </message>
    <message>
        <source>%1 rpm</source>
        <translation>%1 rpm</translation>
    </message>
    <message>
        <source>Drift</source>
        <translation>Drift</translation>
    </message>
    <message>
        <source>Folder for days</source>
        <translation>Ordner für Tage</translation>
    </message>
    <message>
        <source>Choose …</source>
        <translation>Wählen …</translation>
    </message>
    <message>
        <source>“Hill Run” among your documents</source>
        <translation>„Hill Run“ unter den Dokumenten</translation>
    </message>
    <message>
        <source>Paper and letterhead</source>
        <translation>Papier und Briefkopf</translation>
    </message>
    <message>
        <source>Paper</source>
        <translation>Papier</translation>
    </message>
    <message>
        <source>A4</source>
        <translation>A4</translation>
    </message>
    <message>
        <source>Letter</source>
        <translation>Letter</translation>
    </message>
    <message>
        <source>Workshop</source>
        <translation>Werkstatt</translation>
    </message>
    <message>
        <source>Address, a line each</source>
        <translation>Anschrift, je eine Zeile</translation>
    </message>
    <message>
        <source>Address</source>
        <translation>Anschrift</translation>
    </message>
    <message>
        <source>Picture</source>
        <translation>Bild</translation>
    </message>
    <message>
        <source>Write the settings</source>
        <translation>Einstellungen schreiben</translation>
    </message>
    <message>
        <source>Settings (*.json)</source>
        <translation>Einstellungen (*.json)</translation>
    </message>
    <message>
        <source>The settings could not be written</source>
        <translation>Die Einstellungen ließen sich nicht schreiben</translation>
    </message>
    <message>
        <source>Read settings</source>
        <translation>Einstellungen lesen</translation>
    </message>
    <message>
        <source>These settings could not be read</source>
        <translation>Diese Einstellungen ließen sich nicht lesen</translation>
    </message>
    <message>
        <source>Curve of a build</source>
        <translation>Kurve eines Standes</translation>
    </message>
    <message>
        <source>Cell and weather</source>
        <translation>Prüfstand und Wetter</translation>
    </message>
    <message>
        <source>While a pull runs</source>
        <translation>Während eines Laufs</translation>
    </message>
    <message>
        <source>They belong to the article of a day: open one first</source>
        <translation>Sie gehören zum Prüfling eines Tages: zuerst einen öffnen</translation>
    </message>
    <message>
        <source>What is watched</source>
        <translation>Was überwacht wird</translation>
    </message>
    <message>
        <source>Tone when a limit is passed</source>
        <translation>Ton, wenn eine Grenze überschritten wird</translation>
    </message>
    <message>
        <source>Hear it</source>
        <translation>Anhören</translation>
    </message>
    <message>
        <source>Tone at a limit</source>
        <translation>Ton an einer Grenze</translation>
    </message>
    <message>
        <source>Nothing can be heard. %1</source>
        <translation>Es ist nichts zu hören. %1</translation>
    </message>
    <message>
        <source>Logbook</source>
        <translation>Logbuch</translation>
    </message>
    <message>
        <source>this bench&apos;s own, or postgresql://host/name</source>
        <translation>eigenes dieses Prüfstands, oder postgresql://host/name</translation>
    </message>
    <message>
        <source>A file, or the address of a server that several benches share. Passwords stay where the server&apos;s own library looks for them.</source>
        <translation>Eine Datei oder die Adresse eines Servers, den mehrere Prüfstände teilen. Kennwörter bleiben dort, wo die Bibliothek des Servers sie sucht.</translation>
    </message>
</context>
<context>
    <name>hillrun::SlipPanel</name>
    <message>
        <source>Slip</source>
        <translation>Zettel</translation>
    </message>
    <message>
        <source>Looking at it …</source>
        <translation>Wird angesehen …</translation>
    </message>
    <message>
        <source>After each pull: how it lies on its set, what was found, and whether to keep it.</source>
        <translation>Nach jedem Lauf: wie er auf seiner Serie liegt, was gefunden wurde, und ob er bleiben soll.</translation>
    </message>
    <message>
        <source>set aside</source>
        <translation>beiseitegelegt</translation>
    </message>
    <message>
        <source>Set aside: %1</source>
        <translation>Beiseitegelegt: %1</translation>
    </message>
</context>
<context>
    <name>hillrun::StartPanel</name>
    <message>
        <source>What do you want to find out today?</source>
        <translation>Was soll heute herausgefunden werden?</translation>
    </message>
    <message>
        <source>Begin a day with its builds and the order of its pulls, or open one.</source>
        <translation>Einen Tag mit seinen Ständen und der Reihenfolge seiner Läufe beginnen, oder einen öffnen.</translation>
    </message>
    <message>
        <source>Days opened before</source>
        <translation>Früher geöffnete Tage</translation>
    </message>
    <message>
        <source>Demo days, invented</source>
        <translation>Beispieltage, erfunden</translation>
    </message>
    <message>
        <source>Go on with %1</source>
        <translation>Weiter mit %1</translation>
    </message>
</context>
<context>
    <name>hillrun::StationPanel</name>
    <message>
        <source>Weather station beside a better instrument</source>
        <translation>Wetterstation neben einem besseren Gerät</translation>
    </message>
    <message>
        <source>pressure</source>
        <translation>Druck</translation>
    </message>
    <message>
        <source>temperature</source>
        <translation>Temperatur</translation>
    </message>
    <message>
        <source>relative humidity</source>
        <translation>relative Feuchte</translation>
    </message>
    <message>
        <source>station</source>
        <translation>Station</translation>
    </message>
    <message>
        <source>reference</source>
        <translation>Referenz</translation>
    </message>
    <message>
        <source>Type what both read in the same air.</source>
        <translation>Eingeben, was beide in derselben Luft zeigen.</translation>
    </message>
    <message>
        <source>Keep the check of the weather station</source>
        <translation>Die Prüfung der Wetterstation aufheben</translation>
    </message>
    <message>
        <source>Take the check of the weather station away</source>
        <translation>Die Prüfung der Wetterstation wegnehmen</translation>
    </message>
</context>
<context>
    <name>hillrun::TimedRunPanel</name>
    <message>
        <source>A run that was timed</source>
        <translation>Eine gestoppte Fahrt</translation>
    </message>
    <message>
        <source>time</source>
        <translation>Zeit</translation>
    </message>
    <message>
        <source>speed at its end</source>
        <translation>am Ende</translation>
    </message>
    <message>
        <source>What is fitted to it</source>
        <translation>Was daran angepasst wird</translation>
    </message>
    <message>
        <source>drag area</source>
        <translation>cw·A</translation>
    </message>
    <message>
        <source>launch</source>
        <translation>Anfahren</translation>
    </message>
    <message>
        <source>Fit</source>
        <translation>Anpassen</translation>
    </message>
    <message>
        <source>what is fitted</source>
        <translation>angepasst wird</translation>
    </message>
</context>
<context>
    <name>hillrun::TopBar</name>
    <message>
        <source>Hill Run</source>
        <translation>Hill Run</translation>
    </message>
    <message>
        <source>Day</source>
        <translation>Tag</translation>
    </message>
    <message>
        <source>Open, import, save, undo</source>
        <translation>Öffnen, übernehmen, sichern, rückgängig</translation>
    </message>
    <message>
        <source>working …</source>
        <translation>rechnet …</translation>
    </message>
    <message>
        <source>Air</source>
        <translation>Luft</translation>
    </message>
    <message>
        <source>Correction standard of every figure</source>
        <translation>Korrekturnorm jedes Werts</translation>
    </message>
    <message>
        <source>Boost</source>
        <translation>Ladedruck</translation>
    </message>
    <message>
        <source>What the air factor does on a boosted engine; kept with the day</source>
        <translation>Was der Luftfaktor bei einem aufgeladenen Motor tut; bleibt beim Tag</translation>
    </message>
    <message>
        <source>Smoothing</source>
        <translation>Glättung</translation>
    </message>
    <message>
        <source>Width of the local regression</source>
        <translation>Breite der lokalen Regression</translation>
    </message>
    <message>
        <source>Drift</source>
        <translation>Drift</translation>
    </message>
    <message>
        <source>How far drift may have been anything but a straight line</source>
        <translation>Wie weit die Drift von einer Geraden abgewichen sein darf</translation>
    </message>
    <message>
        <source>Units</source>
        <translation>Einheiten</translation>
    </message>
    <message>
        <source>Units of every figure</source>
        <translation>Einheiten jedes Werts</translation>
    </message>
    <message>
        <source>%1 rpm</source>
        <translation>%1 rpm</translation>
    </message>
    <message>
        <source>Correct boosted engines: %1</source>
        <translation>Aufgeladene Motoren korrigieren: %1</translation>
    </message>
    <message>
        <source> · edited</source>
        <translation> · geändert</translation>
    </message>
    <message>
        <source>%1&#xa0;%</source>
        <translation>%1&#xa0;%</translation>
    </message>
    <message>
        <source>own rule</source>
        <translation>eigene Regel</translation>
    </message>
    <message>
        <source>full</source>
        <translation>voll</translation>
    </message>
    <message>
        <source>none</source>
        <translation>keine</translation>
    </message>
    <message>
        <source>temp. only</source>
        <translation>nur Temp.</translation>
    </message>
</context>
<context>
    <name>hillrun::Tour</name>
    <message>
        <source>The answer, in one sentence: what the change gives, where, and how sure that is. When nobody can tell yet, it says so, and what would settle it.</source>
        <translation>Die Antwort, in einem Satz: was die Änderung bringt, wo, und wie sicher das ist. Wenn es noch niemand sagen kann, sagt er das, und was es klären würde.</translation>
    </message>
    <message>
        <source>The curves and, below them, the difference with its band. Drag across the curves to ask about a range; X swaps the builds, Q shows the torque.</source>
        <translation>Die Kurven und darunter der Unterschied mit seinem Band. Über die Kurven ziehen fragt nach einem Bereich; X tauscht die Stände, Q zeigt das Drehmoment.</translation>
    </message>
    <message>
        <source>The day in the order it happened. Each flag is a pull; a dot asks you to look. Click one, and every page shows it.</source>
        <translation>Der Tag in der Folge, wie er war. Jede Fahne ist ein Lauf; ein Punkt bittet hinzusehen. Anklicken zeigt ihn auf jeder Seite.</translation>
    </message>
    <message>
        <source>Check: every pull against its set, with what was found on it. S sets one aside with a reason, Ctrl+Z takes anything back.</source>
        <translation>Prüfen: jeder Lauf gegen seine Serie, mit dem, was an ihm gefunden wurde. S legt einen mit einem Grund beiseite, Strg+Z nimmt alles zurück.</translation>
    </message>
    <message>
        <source>Prepare: the builds and what differs between them, the order of the pulls, and whether this plan can see what you look for, before the first pull.</source>
        <translation>Planen: die Stände und was sie unterscheidet, die Reihenfolge der Läufe, und ob dieser Plan sehen kann, wonach gesucht wird, vor dem ersten Lauf.</translation>
    </message>
    <message>
        <source>Pull: connect the cell, press A, and every pull is found, recorded and kept. Afterwards the slip says what looks wrong.</source>
        <translation>Fahren: den Prüfstand verbinden, A drücken, und jeder Lauf wird gefunden, aufgezeichnet und behalten. Danach sagt der Zettel, was falsch aussieht.</translation>
    </message>
    <message>
        <source>Report: the sheet as it will print. That was all; Ctrl+K finds every command.</source>
        <translation>Blatt: wie es gedruckt wird. Das war alles; Strg+K findet jeden Befehl.</translation>
    </message>
    <message>
        <source>Back</source>
        <translation>Zurück</translation>
    </message>
    <message>
        <source>Next</source>
        <translation>Als Nächstes</translation>
    </message>
    <message>
        <source>Tour</source>
        <translation>Rundgang</translation>
    </message>
    <message>
        <source>Leave the tour</source>
        <translation>Rundgang verlassen</translation>
    </message>
    <message>
        <source>%1 of %2</source>
        <translation>%1 von %2</translation>
    </message>
    <message>
        <source>Done</source>
        <translation>Fertig</translation>
    </message>
</context>
<context>
    <name>hillrun::TraceAxesPanel</name>
    <message>
        <source>Speed axis, rpm</source>
        <translation>Drehzahlachse, rpm</translation>
    </message>
    <message>
        <source>Left axis</source>
        <translation>Linke Achse</translation>
    </message>
    <message>
        <source>Right axis</source>
        <translation>Rechte Achse</translation>
    </message>
    <message>
        <source>lower mark of the %1</source>
        <translation>untere Marke: %1</translation>
    </message>
    <message>
        <source>upper mark of the %1</source>
        <translation>obere Marke: %1</translation>
    </message>
    <message>
        <source>Set</source>
        <translation>Setzen</translation>
    </message>
    <message>
        <source>Set the %1</source>
        <translation>%1 setzen</translation>
    </message>
</context>
<context>
    <name>hillrun::TraceDialog</name>
    <message>
        <source>Trace curves from %1</source>
        <translation>Kurven nachzeichnen von %1</translation>
    </message>
    <message>
        <source>Lines</source>
        <translation>Linien</translation>
    </message>
    <message>
        <source>Another line</source>
        <translation>Weitere Linie</translation>
    </message>
    <message>
        <source>Remove</source>
        <translation>Entfernen</translation>
    </message>
    <message>
        <source>The sheet is like that: take it all the same</source>
        <translation>Das Blatt ist so: trotzdem nehmen</translation>
    </message>
    <message>
        <source>Follow the colour</source>
        <translation>Der Farbe folgen</translation>
    </message>
    <message>
        <source>Point by point</source>
        <translation>Punkt für Punkt</translation>
    </message>
    <message>
        <source>Cut an end off</source>
        <translation>Ein Ende abschneiden</translation>
    </message>
    <message>
        <source>Page of the document</source>
        <translation>Seite des Dokuments</translation>
    </message>
    <message>
        <source>page </source>
        <translation>Seite </translation>
    </message>
    <message>
        <source>Cancel</source>
        <translation>Abbrechen</translation>
    </message>
    <message>
        <source>Take the curves</source>
        <translation>Kurven übernehmen</translation>
    </message>
    <message>
        <source> of %1</source>
        <translation> von %1</translation>
    </message>
    <message>
        <source>What was traced would be lost. Cancel once more to leave it.</source>
        <translation>Das Nachgezeichnete ginge verloren. Noch einmal Abbrechen verlässt es.</translation>
    </message>
    <message>
        <source>%1 rpm</source>
        <translation>%1 rpm</translation>
    </message>
    <message>
        <source>right %1</source>
        <translation>rechts %1</translation>
    </message>
    <message>
        <source>left %1</source>
        <translation>links %1</translation>
    </message>
</context>
<context>
    <name>hillrun::TraceLens</name>
    <message>
        <source>The pixels around the pointer</source>
        <translation>Die Bildpunkte um den Zeiger</translation>
    </message>
    <message>
        <source>Lens: what the pointer is on</source>
        <translation>Lupe: worauf der Zeiger steht</translation>
    </message>
</context>
<context>
    <name>hillrun::TraceLineTable</name>
    <message>
        <source>build</source>
        <translation>Stand</translation>
    </message>
    <message>
        <source>shows</source>
        <translation>zeigt</translation>
    </message>
    <message>
        <source>axis</source>
        <translation>Achse</translation>
    </message>
    <message>
        <source>points</source>
        <translation>Punkte</translation>
    </message>
    <message>
        <source>Lines of the sheet</source>
        <translation>Linien des Blatts</translation>
    </message>
    <message>
        <source>none yet</source>
        <translation>noch keine</translation>
    </message>
    <message>
        <source>build of line %1</source>
        <translation>Stand der Linie %1</translation>
    </message>
    <message>
        <source>what line %1 shows</source>
        <translation>was Linie %1 zeigt</translation>
    </message>
    <message>
        <source>torque, %1</source>
        <translation>Drehmoment, %1</translation>
    </message>
    <message>
        <source>power, %1</source>
        <translation>Leistung, %1</translation>
    </message>
    <message>
        <source>axis of line %1</source>
        <translation>Achse der Linie %1</translation>
    </message>
    <message>
        <source>left</source>
        <translation>links</translation>
    </message>
    <message>
        <source>right</source>
        <translation>rechts</translation>
    </message>
</context>
<context>
    <name>hillrun::TraceView</name>
    <message>
        <source>The sheet. Arrow keys move the pointer, Enter points.</source>
        <translation>Das Blatt. Pfeiltasten bewegen den Zeiger, Enter zeigt.</translation>
    </message>
    <message>
        <source>mark %1 at %2, %3</source>
        <translation>Marke %1 bei %2, %3</translation>
    </message>
    <message>
        <source>line %1: %2 points</source>
        <translation>Linie %1: %2 Punkte</translation>
    </message>
    <message>
        <source>pointer at %1, %2</source>
        <translation>Zeiger bei %1, %2</translation>
    </message>
    <message>
        <source>nothing marked yet</source>
        <translation>noch nichts markiert</translation>
    </message>
</context>
<context>
    <name>hillrun::TypedCurveDialog</name>
    <message>
        <source>Type a curve</source>
        <translation>Eine Kurve eintippen</translation>
    </message>
    <message>
        <source>Type or paste what the sheet says. Peaks alone will do: power at one speed, torque at another.</source>
        <translation>Eintippen oder einfügen, was das Blatt sagt. Spitzen allein genügen: Leistung bei einer Drehzahl, Drehmoment bei einer anderen.</translation>
    </message>
    <message>
        <source>engine speed, rpm</source>
        <translation>Motordrehzahl, rpm</translation>
    </message>
    <message>
        <source>power</source>
        <translation>Leistung</translation>
    </message>
    <message>
        <source>torque</source>
        <translation>Drehmoment</translation>
    </message>
    <message>
        <source>Points of the curve</source>
        <translation>Punkte der Kurve</translation>
    </message>
    <message>
        <source>The sheet is like that: take it all the same</source>
        <translation>Das Blatt ist so: trotzdem nehmen</translation>
    </message>
    <message>
        <source>Build</source>
        <translation>Stand</translation>
    </message>
    <message>
        <source>Build of the curve</source>
        <translation>Stand der Kurve</translation>
    </message>
    <message>
        <source>Power in</source>
        <translation>Leistung in</translation>
    </message>
    <message>
        <source>Unit of the power</source>
        <translation>Einheit der Leistung</translation>
    </message>
    <message>
        <source>torque in</source>
        <translation>Drehmoment in</translation>
    </message>
    <message>
        <source>Unit of the torque</source>
        <translation>Einheit des Drehmoments</translation>
    </message>
    <message>
        <source>Paste</source>
        <translation>Einfügen</translation>
    </message>
    <message>
        <source>Cancel</source>
        <translation>Abbrechen</translation>
    </message>
    <message>
        <source>Take the curve</source>
        <translation>Kurve übernehmen</translation>
    </message>
    <message>
        <source>Power, %1, and torque, %2</source>
        <translation>Leistung, %1, und Drehmoment, %2</translation>
    </message>
    <message>
        <source>rpm</source>
        <translation>rpm</translation>
    </message>
    <message>
        <source>Type at least two points.</source>
        <translation>Mindestens zwei Punkte eintippen.</translation>
    </message>
    <message>
        <source>Say which build the curve belongs to.</source>
        <translation>Angeben, zu welchem Stand die Kurve gehört.</translation>
    </message>
</context>
<context>
    <name>hillrun::UseDialog</name>
    <message>
        <source>What the builds are wanted for</source>
        <translation>Wofür die Stände gedacht sind</translation>
    </message>
    <message>
        <source>The speeds that count. Averages, which build is best and what each part gives are worked out over them.</source>
        <translation>Die Drehzahlen, die zählen. Mittelwerte, welcher Stand der beste ist und was jedes Teil gibt, werden über sie gerechnet.</translation>
    </message>
    <message>
        <source>Whole range</source>
        <translation>Ganzer Bereich</translation>
    </message>
    <message>
        <source>The day has pulls already: the use is marked as chosen after looking.</source>
        <translation>Der Tag hat schon Läufe: die Nutzung wird als nach dem Hinsehen gewählt vermerkt.</translation>
    </message>
    <message>
        <source>Take it</source>
        <translation>Übernehmen</translation>
    </message>
    <message>
        <source>Go back</source>
        <translation>Zurück</translation>
    </message>
    <message>
        <source>Lowest speed that counts</source>
        <translation>Niedrigste Drehzahl, die zählt</translation>
    </message>
    <message>
        <source>Highest speed that counts</source>
        <translation>Höchste Drehzahl, die zählt</translation>
    </message>
    <message>
        <source>to</source>
        <translation>bis</translation>
    </message>
    <message>
        <source>From</source>
        <translation>Von</translation>
    </message>
    <message>
        <source>The speed that is held</source>
        <translation>Die gehaltene Drehzahl</translation>
    </message>
    <message>
        <source>By how much it goes up and down</source>
        <translation>Um wie viel sie auf und ab geht</translation>
    </message>
    <message>
        <source>One speed held</source>
        <translation>Eine gehaltene Drehzahl</translation>
    </message>
    <message>
        <source>Gear</source>
        <translation>Gang</translation>
    </message>
    <message>
        <source>Shift to shift in gear</source>
        <translation>Von Schalten zu Schalten im Gang</translation>
    </message>
    <message>
        <source>needs the article&apos;s gears and red line</source>
        <translation>braucht Gänge und Höchstdrehzahl des Prüflings</translation>
    </message>
    <message>
        <source>Each speed as much as it counts</source>
        <translation>Jede Drehzahl so viel, wie sie zählt</translation>
    </message>
    <message>
        <source>%1 rpm</source>
        <translation>%1 rpm</translation>
    </message>
    <message>
        <source>Course</source>
        <translation>Strecke</translation>
    </message>
    <message>
        <source>Driven on</source>
        <translation>Gefahren auf</translation>
    </message>
    <message>
        <source>needs curves: make the first pulls</source>
        <translation>braucht Kurven: die ersten Läufe machen</translation>
    </message>
</context>
<context>
    <name>hillrun::VehiclePanel</name>
    <message>
        <source>mass</source>
        <translation>Masse</translation>
    </message>
    <message>
        <source>driver</source>
        <translation>Fahrer</translation>
    </message>
    <message>
        <source>tyre radius</source>
        <translation>Reifenradius</translation>
    </message>
    <message>
        <source>final drive</source>
        <translation>Achsübersetzung</translation>
    </message>
    <message>
        <source>drag area</source>
        <translation>cw·A</translation>
    </message>
    <message>
        <source>rolling</source>
        <translation>Rollwiderstand</translation>
    </message>
    <message>
        <source>tyre grip</source>
        <translation>Haftung</translation>
    </message>
    <message>
        <source>driveline</source>
        <translation>Antrieb</translation>
    </message>
    <message>
        <source>a shift</source>
        <translation>ein Gangwechsel</translation>
    </message>
    <message>
        <source>launch</source>
        <translation>Anfahren</translation>
    </message>
    <message>
        <source>front share</source>
        <translation>Anteil vorn</translation>
    </message>
    <message>
        <source>wheelbase</source>
        <translation>Radstand</translation>
    </message>
    <message>
        <source>height of mass</source>
        <translation>Schwerpunkthöhe</translation>
    </message>
    <message>
        <source>Vehicle</source>
        <translation>Fahrzeug</translation>
    </message>
    <message>
        <source>Driven axle</source>
        <translation>Angetriebene Achse</translation>
    </message>
    <message>
        <source>front</source>
        <translation>vorn</translation>
    </message>
    <message>
        <source>rear</source>
        <translation>hinten</translation>
    </message>
    <message>
        <source>all</source>
        <translation>alle</translation>
    </message>
    <message>
        <source>driven</source>
        <translation>angetrieben</translation>
    </message>
    <message>
        <source>Change the driven axle</source>
        <translation>Angetriebene Achse ändern</translation>
    </message>
    <message>
        <source>Change the vehicle: %1</source>
        <translation>Fahrzeug ändern: %1</translation>
    </message>
    <message>
        <source>converter stall</source>
        <translation>Wandler: fest</translation>
    </message>
    <message>
        <source>its torque ratio</source>
        <translation>Wandler: Verh.</translation>
    </message>
</context>
<context>
    <name>hillrun::WeatherPanel</name>
    <message>
        <source>%1&#xa0;h</source>
        <translation>%1&#xa0;h</translation>
    </message>
    <message>
        <source>Working the day out …</source>
        <translation>Der Tag wird ausgewertet …</translation>
    </message>
    <message>
        <source>No day is open. Press Ctrl+O to open one.</source>
        <translation>Kein Tag ist offen. Strg+O öffnet einen.</translation>
    </message>
</context>
<context>
    <name>hillrun::WeightBars</name>
    <message>
        <source>Draw with the pointer. Left and Right choose a speed, Up and Down or a digit set how much it counts.</source>
        <translation>Mit dem Zeiger zeichnen. Links und Rechts wählen eine Drehzahl, Auf und Ab oder eine Ziffer setzen, wie viel sie zählt.</translation>
    </message>
    <message>
        <source>How much each speed counts</source>
        <translation>Wie viel jede Drehzahl zählt</translation>
    </message>
    <message>
        <source>%1 rpm: %2 of %3</source>
        <translation>%1 rpm: %2 von %3</translation>
    </message>
</context>
<context>
    <name>hillrun::WindowsPanel</name>
    <message>
        <source>Windows at the start</source>
        <translation>Fenster beim Start</translation>
    </message>
    <message>
        <source>Add</source>
        <translation>Hinzufügen</translation>
    </message>
    <message>
        <source>A temperature that must be inside a window before a pull; 5 to 8 degrees wide is usual</source>
        <translation>Eine Temperatur, die vor einem Lauf in einem Fenster liegen muss; 5 bis 8 Grad breit ist üblich</translation>
    </message>
    <message>
        <source>Add a window</source>
        <translation>Fenster hinzufügen</translation>
    </message>
    <message>
        <source>Low end</source>
        <translation>Unteres Ende</translation>
    </message>
    <message>
        <source>High end</source>
        <translation>Oberes Ende</translation>
    </message>
    <message>
        <source>Remove this window</source>
        <translation>Dieses Fenster entfernen</translation>
    </message>
    <message>
        <source>Change a window</source>
        <translation>Fenster ändern</translation>
    </message>
    <message>
        <source>Remove a window</source>
        <translation>Fenster entfernen</translation>
    </message>
    <message>
        <source>None yet. Coolant and oil inside 5 to 8 degrees make pulls comparable.</source>
        <translation>Noch keine. Kühlmittel und Öl in 5 bis 8 Grad machen Läufe vergleichbar.</translation>
    </message>
</context>
</TS>
