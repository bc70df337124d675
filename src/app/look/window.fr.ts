<?xml version="1.0" encoding="utf-8"?>
<!DOCTYPE TS>
<TS version="2.1" language="fr">
<context>
    <name>CheckActions</name>
    <message>
        <source>Channels</source>
        <translation>Canaux</translation>
    </message>
    <message>
        <source>The control channels below the curves</source>
        <translation>Les canaux de contrôle sous les courbes</translation>
    </message>
    <message>
        <source>Time</source>
        <translation>Temps</translation>
    </message>
    <message>
        <source>The pull over time below the curves, or its channels</source>
        <translation>Le passage selon le temps sous les courbes, ou ses canaux</translation>
    </message>
    <message>
        <source>Numbers</source>
        <translation>Nombres</translation>
    </message>
    <message>
        <source>Numbers of all pulls shown, at the cursor</source>
        <translation>Nombres de tous les passages montrés, au curseur</translation>
    </message>
    <message>
        <source>Raw</source>
        <translation>Brut</translation>
    </message>
    <message>
        <source>The rows as recorded, or the smoothed curve</source>
        <translation>Les lignes enregistrées, ou la courbe lissée</translation>
    </message>
    <message>
        <source>Hold beside</source>
        <translation>Tenir à côté</translation>
    </message>
    <message>
        <source>Keep this pull beside the next one you select, or let go of it</source>
        <translation>Garde ce passage à côté du prochain choisi, ou le lâche</translation>
    </message>
    <message>
        <source>Set aside</source>
        <translation>Écarter</translation>
    </message>
    <message>
        <source>Leave this pull out with a reason, or take it back</source>
        <translation>Laisse ce passage avec une raison, ou le reprend</translation>
    </message>
    <message>
        <source>Undo trim</source>
        <translation>Annuler la coupe</translation>
    </message>
    <message>
        <source>Let the program find the range again</source>
        <translation>Laisse le programme retrouver la plage</translation>
    </message>
    <message>
        <source>On a board, at the cursor: the pull begins or ends there</source>
        <translation>Sur un tableau, au curseur : le passage commence ou finit là</translation>
    </message>
    <message>
        <source>Check</source>
        <translation>Vérifier</translation>
    </message>
    <message>
        <source>Look at each pull</source>
        <translation>Regarder chaque passage</translation>
    </message>
    <message>
        <source>Fitted again</source>
        <translation>Remonté</translation>
    </message>
    <message>
        <source>Before this pull its build was taken off and fitted again: a new set begins with it. Once more takes it back</source>
        <translation>Avant ce passage, son montage a été démonté et remonté : une nouvelle série commence. Encore une fois annule</translation>
    </message>
</context>
<context>
    <name>CompareActions</name>
    <message>
        <source>Swap</source>
        <translation>Échanger</translation>
    </message>
    <message>
        <source>Swap the two builds</source>
        <translation>Échanger les deux montages</translation>
    </message>
    <message>
        <source>Take the band out</source>
        <translation>Retirer la plage</translation>
    </message>
    <message>
        <source>The selected band of the table of bands</source>
        <translation>La plage choisie dans la table des plages</translation>
    </message>
    <message>
        <source>On a board, at the cursor: a band begins or ends there</source>
        <translation>Sur un tableau, au curseur : une plage commence ou finit là</translation>
    </message>
    <message>
        <source>On a board: the build to look at</source>
        <translation>Sur un tableau : le montage à regarder</translation>
    </message>
    <message>
        <source>Compare</source>
        <translation>Comparer</translation>
    </message>
    <message>
        <source>What the change gives</source>
        <translation>Ce qu&apos;apporte le changement</translation>
    </message>
    <message>
        <source>Field</source>
        <translation>Plateau</translation>
    </message>
    <message>
        <source>All builds held against each other, or the pair alone</source>
        <translation>Tous les montages opposés, ou la paire seule</translation>
    </message>
    <message>
        <source>Small boards</source>
        <translation>Petits tableaux</translation>
    </message>
    <message>
        <source>In the field: one board for all builds, or a small one for each</source>
        <translation>Sur le plateau : un tableau pour tous les montages, ou un petit pour chacun</translation>
    </message>
    <message>
        <source>Use the whole range</source>
        <translation>Prendre toute la plage</translation>
    </message>
    <message>
        <source>The builds are wanted for all that every pull covers</source>
        <translation>Les montages doivent servir à tout ce que chaque passage couvre</translation>
    </message>
    <message>
        <source>On the ribbon ladder: the build to look at</source>
        <translation>Sur l&apos;échelle de rubans : le montage à regarder</translation>
    </message>
    <message>
        <source>On the ribbon ladder: that build and the base as a pair</source>
        <translation>Sur l&apos;échelle de rubans : ce montage et la base en paire</translation>
    </message>
    <message>
        <source>Over power</source>
        <translation>Sur la puissance</translation>
    </message>
    <message>
        <source>Another curve stands above power, in place of above its difference</source>
        <translation>Une autre courbe est placée au-dessus de la puissance, au lieu de son écart</translation>
    </message>
    <message>
        <source>Other days</source>
        <translation>Autres jours</translation>
    </message>
    <message>
        <source>A build of an earlier day held against one of today&apos;s, or the pair alone</source>
        <translation>Un montage d&apos;un jour passé contre un du jour, ou la paire seule</translation>
    </message>
    <message>
        <source>Take it away</source>
        <translation>Retirer</translation>
    </message>
    <message>
        <source>The build of another day that is shown</source>
        <translation>Le montage d&apos;un autre jour qui est montré</translation>
    </message>
</context>
<context>
    <name>CreditActions</name>
    <message>
        <source>Each step between two builds that were run</source>
        <translation>Chaque marche entre deux montages essayés</translation>
    </message>
    <message>
        <source>Each part on the base alone</source>
        <translation>Chaque pièce seule sur la base</translation>
    </message>
    <message>
        <source>Each part on all the others</source>
        <translation>Chaque pièce sur toutes les autres</translation>
    </message>
    <message>
        <source>Each part&apos;s mean step over all orders of fitting them: these add up to the whole</source>
        <translation>L&apos;apport moyen de chaque pièce sur tous les ordres de montage : leur somme est le tout</translation>
    </message>
    <message>
        <source>The part to look at</source>
        <translation>La pièce à regarder</translation>
    </message>
    <message>
        <source>Credit</source>
        <translation>Mérite</translation>
    </message>
    <message>
        <source>What each part gives</source>
        <translation>Ce que donne chaque pièce</translation>
    </message>
    <message>
        <source>Together, along rpm</source>
        <translation>Ensemble, selon le régime</translation>
    </message>
    <message>
        <source>What the chosen part and others give together beyond each by itself, along rpm; once more for the next, then back</source>
        <translation>Ce que la pièce choisie et d&apos;autres donnent ensemble au-delà de chacune seule, selon le régime ; encore une fois pour la suivante, puis retour</translation>
    </message>
    <message>
        <source>Over days</source>
        <translation>Sur les jours</translation>
    </message>
    <message>
        <source>This article&apos;s builds of all days as one ladder, or the day&apos;s own parts</source>
        <translation>Les montages de cet objet d&apos;essai de tous les jours comme une échelle, ou les pièces de la journée</translation>
    </message>
</context>
<context>
    <name>Link</name>
    <message>
        <source>Telemetry, TCP</source>
        <translation>Télémesure, TCP</translation>
    </message>
    <message>
        <source>Telemetry, serial</source>
        <translation>Télémesure, série</translation>
    </message>
    <message>
        <source>Weather NMEA, TCP</source>
        <translation>Météo NMEA, TCP</translation>
    </message>
    <message>
        <source>Weather NMEA, serial</source>
        <translation>Météo NMEA, série</translation>
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
        <translation>Passage prévu : plus tôt</translation>
    </message>
    <message>
        <source>Planned pull: later</source>
        <translation>Passage prévu : plus tard</translation>
    </message>
    <message>
        <source>Planned pull: another one like it</source>
        <translation>Passage prévu : encore un pareil</translation>
    </message>
    <message>
        <source>Planned pull: take it out</source>
        <translation>Passage prévu : le retirer</translation>
    </message>
    <message>
        <source>Day, cell and article …</source>
        <translation>Journée, banc et objet d&apos;essai …</translation>
    </message>
    <message>
        <source>What is on the dyno, and on which</source>
        <translation>Ce qui est sur le banc, et sur lequel</translation>
    </message>
    <message>
        <source>On the order of the pulls: the one before or after</source>
        <translation>Dans l’ordre des passages : le précédent ou le suivant</translation>
    </message>
    <message>
        <source>Prepare</source>
        <translation>Préparer</translation>
    </message>
    <message>
        <source>Plan the day</source>
        <translation>Planifier la journée</translation>
    </message>
</context>
<context>
    <name>Program</name>
    <message>
        <source>What did this part do, and can I believe it?</source>
        <translation>Qu&apos;a fait cette pièce, et puis-je le croire ?</translation>
    </message>
    <message>
        <source>Day folder or package to open, or logger files to import; paths or file:// addresses.</source>
        <translation>Dossier ou paquet de journée à ouvrir, ou fichiers d&apos;enregistreur à importer ; chemins ou adresses file://.</translation>
    </message>
    <message>
        <source>Pull to select.</source>
        <translation>Passage à choisir.</translation>
    </message>
    <message>
        <source>Check: hold this pull beside it.</source>
        <translation>Vérifier : tenir ce passage à côté.</translation>
    </message>
    <message>
        <source>Run this command once the day is there, such as check.time; may be repeated.</source>
        <translation>Exécuter cette commande dès que la journée est là, comme check.time ; répétable.</translation>
    </message>
    <message>
        <source>Open the import dialog with this file; may be repeated.</source>
        <translation>Ouvrir la fenêtre d&apos;import avec ce fichier ; répétable.</translation>
    </message>
    <message>
        <source>Listen to this address in place of the kept connections; may be repeated.</source>
        <translation>Écouter cette adresse au lieu des liaisons gardées ; répétable.</translation>
    </message>
    <message>
        <source>Record the first pull that comes.</source>
        <translation>Enregistrer le premier passage qui vient.</translation>
    </message>
    <message>
        <source>Dark colours.</source>
        <translation>Couleurs sombres.</translation>
    </message>
    <message>
        <source>Window size, such as 1280x800.</source>
        <translation>Taille de fenêtre, comme 1280x800.</translation>
    </message>
    <message>
        <source>Write a picture of the window and end.</source>
        <translation>Écrire une image de la fenêtre et finir.</translation>
    </message>
    <message>
        <source>With --picture: wait so long before, seconds.</source>
        <translation>Avec --picture : attendre autant avant, secondes.</translation>
    </message>
    <message>
        <source>With --picture: keep the window up.</source>
        <translation>Avec --picture : garder la fenêtre.</translation>
    </message>
    <message>
        <source>Page to show: prepare, pull, check, compare, credit, road, report, logbook or bench.</source>
        <translation>Page à montrer : prepare, pull, check, compare, credit, road, report, logbook ou bench.</translation>
    </message>
</context>
<context>
    <name>PullActions</name>
    <message>
        <source>The pull is kept in memory and in its journal, but could not be saved</source>
        <translation>Le passage est gardé en mémoire et dans son journal, mais n&apos;a pu être sauvé</translation>
    </message>
    <message>
        <source>%1 belongs to a day that is no longer open</source>
        <translation>%1 appartient à une journée qui n&apos;est plus ouverte</translation>
    </message>
    <message>
        <source>It is kept, and offered when that day is opened again.</source>
        <translation>Il est gardé, et proposé quand cette journée sera ouverte.</translation>
    </message>
    <message>
        <source>Arm</source>
        <translation>Armer</translation>
    </message>
    <message>
        <source>Record the next pull by itself, or stop doing so</source>
        <translation>Enregistre seul le prochain passage, ou cesse</translation>
    </message>
    <message>
        <source>Disarm</source>
        <translation>Désarmer</translation>
    </message>
    <message>
        <source>Start by hand</source>
        <translation>Début manuel</translation>
    </message>
    <message>
        <source>Begin or end a recording by hand</source>
        <translation>Commence ou finit un enregistrement à la main</translation>
    </message>
    <message>
        <source>End by hand</source>
        <translation>Fin manuelle</translation>
    </message>
    <message>
        <source>Begin a day here</source>
        <translation>Commencer une journée ici</translation>
    </message>
    <message>
        <source>A new day among your days, to pull into at once</source>
        <translation>Une nouvelle journée parmi les vôtres, pour y passer aussitôt</translation>
    </message>
    <message>
        <source>Change build</source>
        <translation>Autre montage</translation>
    </message>
    <message>
        <source>Another build is fitted: note what was done</source>
        <translation>Un autre montage est en place : noter ce qui a été fait</translation>
    </message>
    <message>
        <source>Keep</source>
        <translation>Garder</translation>
    </message>
    <message>
        <source>The pull is good</source>
        <translation>Le passage est bon</translation>
    </message>
    <message>
        <source>Set aside</source>
        <translation>Écarter</translation>
    </message>
    <message>
        <source>Leave the pull of the slip out, with a reason</source>
        <translation>Écarter le passage du ticket, avec une raison</translation>
    </message>
    <message>
        <source>Connections …</source>
        <translation>Liaisons …</translation>
    </message>
    <message>
        <source>The cell and the weather station</source>
        <translation>Le banc et la station météo</translation>
    </message>
    <message>
        <source>Pull</source>
        <translation>Passer</translation>
    </message>
    <message>
        <source>Run the pulls, live</source>
        <translation>Mener les passages, en direct</translation>
    </message>
    <message>
        <source>Change the limits</source>
        <translation>Changer les limites</translation>
    </message>
    <message>
        <source>Limits …</source>
        <translation>Limites …</translation>
    </message>
    <message>
        <source>What is watched while a pull runs</source>
        <translation>Ce qui est surveillé pendant un passage</translation>
    </message>
    <message>
        <source>When a limit is passed: it was seen</source>
        <translation>Quand une limite est franchie : vu</translation>
    </message>
</context>
<context>
    <name>QDialog</name>
    <message>
        <source>Close</source>
        <translation>Fermer</translation>
    </message>
</context>
<context>
    <name>QObject</name>
    <message>
        <source>%1: nothing</source>
        <translation>%1 : rien</translation>
    </message>
    <message>
        <source>%1 at %2</source>
        <translation>%1 à %2</translation>
    </message>
    <message>
        <source>%1: begins %2, highest %3, lowest %4, ends %5</source>
        <translation>%1 : commence %2, plus haut %3, plus bas %4, finit %5</translation>
    </message>
    <message>
        <source>the curve</source>
        <translation>la courbe</translation>
    </message>
    <message>
        <source>%1 from %2 to %3</source>
        <translation>%1 de %2 à %3</translation>
    </message>
    <message>
        <source>cursor: %1</source>
        <translation>curseur : %1</translation>
    </message>
    <message>
        <source>nothing to show</source>
        <translation>rien à montrer</translation>
    </message>
    <message>
        <source>%1, from %2</source>
        <translation>%1, de %2</translation>
    </message>
    <message>
        <source>pull at %1 rpm</source>
        <translation>passage à %1 rpm</translation>
    </message>
    <message>
        <source>power, %1 %2</source>
        <translation>puissance, %1 %2</translation>
    </message>
    <message>
        <source>torque, %1</source>
        <translation>couple, %1</translation>
    </message>
    <message>
        <source>from %1, %</source>
        <translation>à %1, %</translation>
    </message>
    <message>
        <source>at %1 rpm</source>
        <translation>à %1 rpm</translation>
    </message>
    <message>
        <source>%1 %2, %3</source>
        <translation>%1 %2, %3</translation>
    </message>
    <message>
        <source>Power</source>
        <translation>Puissance</translation>
    </message>
    <message>
        <source>Torque</source>
        <translation>Couple</translation>
    </message>
    <message>
        <source> · %1 as recorded, corrected, not smoothed</source>
        <translation> · %1 comme enregistré, corrigé, non lissé</translation>
    </message>
    <message>
        <source> · pulls of build %1, shaded: where 19 of 20 lie</source>
        <translation> · passages du montage %1, ombré : où sont 19 sur 20</translation>
    </message>
    <message>
        <source>Each pull against the mean of build %1, %</source>
        <translation>Chaque passage contre la moyenne du montage %1, %</translation>
    </message>
    <message>
        <source>%1 against %2, %</source>
        <translation>%1 contre %2, %</translation>
    </message>
    <message>
        <source>Torque as recorded, %1</source>
        <translation>Couple comme enregistré, %1</translation>
    </message>
    <message>
        <source>Torque referred to the engine, row by row, %1</source>
        <translation>Couple ramené au moteur, ligne par ligne, %1</translation>
    </message>
    <message>
        <source>No rows over time: %1</source>
        <translation>Pas de lignes selon le temps : %1</translation>
    </message>
    <message>
        <source>Engine speed, rpm</source>
        <translation>Régime moteur, rpm</translation>
    </message>
    <message>
        <source>Select a pull.</source>
        <translation>Choisir un passage.</translation>
    </message>
    <message>
        <source>%1 · build %2</source>
        <translation>%1 · montage %2</translation>
    </message>
    <message>
        <source> · air factor %1</source>
        <translation> · facteur d&apos;air %1</translation>
    </message>
    <message>
        <source> · roughness %1&#xa0;%</source>
        <translation> · rugosité %1&#xa0;%</translation>
    </message>
    <message>
        <source>Trimmed: %1, %2 to %3 s.</source>
        <translation>Coupé : %1, %2 à %3 s.</translation>
    </message>
    <message>
        <source>%1 held speeds.</source>
        <translation>%1 régimes tenus.</translation>
    </message>
    <message>
        <source>Engine over %1 speed %2.</source>
        <translation>Moteur sur %1 : %2.</translation>
    </message>
    <message>
        <source>roller</source>
        <translation>rouleau</translation>
    </message>
    <message>
        <source>wheel</source>
        <translation>roue</translation>
    </message>
    <message>
        <source>Power %1: measured at the %2, losses added.</source>
        <translation>Puissance %1 : mesurée à : %2, pertes ajoutées.</translation>
    </message>
    <message>
        <source>Left out: %1</source>
        <translation>Laissé : %1</translation>
    </message>
    <message>
        <source>Does not look like the others: %1</source>
        <translation>Ne ressemble pas aux autres : %1</translation>
    </message>
    <message>
        <source>best pull, without an interval</source>
        <translation>meilleur passage, sans intervalle</translation>
    </message>
    <message>
        <source>median pull, without an interval</source>
        <translation>passage médian, sans intervalle</translation>
    </message>
    <message>
        <source>last pull, without an interval</source>
        <translation>dernier passage, sans intervalle</translation>
    </message>
    <message>
        <source>mean of the pulls</source>
        <translation>moyenne des passages</translation>
    </message>
    <message>
        <source>%1 %2, %3 · %4</source>
        <translation>%1 %2, %3 · %4</translation>
    </message>
    <message>
        <source>Difference %1 − %2, %3 %4</source>
        <translation>Différence %1 − %2, %3 %4</translation>
    </message>
    <message>
        <source> · band: 95&#xa0;% for the whole curve</source>
        <translation> · bande : 95&#xa0;% pour toute la courbe</translation>
    </message>
    <message>
        <source> · a curve only: no band</source>
        <translation> · une courbe seule : pas de bande</translation>
    </message>
    <message>
        <source> · not separable from drift</source>
        <translation> · inséparable de la dérive</translation>
    </message>
    <message>
        <source>Peak power  %1</source>
        <translation>Puissance maximale  %1</translation>
    </message>
    <message>
        <source>Peak torque  %1</source>
        <translation>Couple maximal  %1</translation>
    </message>
    <message>
        <source>Peak power moves  %1</source>
        <translation>La puissance maximale se déplace  %1</translation>
    </message>
    <message>
        <source>Some pull still rises where it ends: raise the end speed by 100 rpm.</source>
        <translation>Un passage monte encore où il finit : relever le régime de fin de 100 rpm.</translation>
    </message>
    <message>
        <source>The lines do not clearly cross.</source>
        <translation>Les lignes ne se croisent pas nettement.</translation>
    </message>
    <message>
        <source>The lines cross at %1 rpm</source>
        <translation>Les lignes se croisent à %1 rpm</translation>
    </message>
    <message>
        <source> and </source>
        <translation> et </translation>
    </message>
    <message>
        <source>gain</source>
        <translation>gain</translation>
    </message>
    <message>
        <source>loss</source>
        <translation>perte</translation>
    </message>
    <message>
        <source>cannot tell</source>
        <translation>indécis</translation>
    </message>
    <message>
        <source>No change noted: say in the day what differs.</source>
        <translation>Aucun changement noté : dire dans la journée ce qui diffère.</translation>
    </message>
    <message>
        <source>%1 changes together; the effect is joint</source>
        <translation>%1 changements ensemble ; l&apos;effet est commun</translation>
    </message>
    <message>
        <source>Power was measured at different places: the difference holds the losses between</source>
        <translation>La puissance a été mesurée à des endroits différents : la différence tient les pertes entre les deux</translation>
    </message>
    <message>
        <source>%1 was recorded in one build only</source>
        <translation>%1 n&apos;a été enregistré que pour un montage</translation>
    </message>
    <message>
        <source>%1 differs by %2 %3 (tolerance %4)</source>
        <translation>%1 diffère de %2 %3 (tolérance %4)</translation>
    </message>
    <message>
        <source>Like for like: %1 checks matched; %2 moved with what was changed, as it must</source>
        <translation>À conditions égales : %1 contrôles s&apos;accordent ; %2 a suivi ce qui a changé, comme il se doit</translation>
    </message>
    <message>
        <source>Nothing else was recorded to compare.</source>
        <translation>Rien d&apos;autre n&apos;a été enregistré à comparer.</translation>
    </message>
    <message>
        <source>Like for like: all %1 checks matched</source>
        <translation>À conditions égales : les %1 contrôles s&apos;accordent</translation>
    </message>
    <message>
        <source>Left out: %1 (%2), %3</source>
        <translation>Laissé : %1 (%2), %3</translation>
    </message>
    <message>
        <source>Look at %1 (%2): %3</source>
        <translation>Regarder %1 (%2) : %3</translation>
    </message>
    <message>
        <source>No pull was left out.</source>
        <translation>Aucun passage n&apos;a été laissé.</translation>
    </message>
    <message>
        <source>Type what both marks of the right axis say.</source>
        <translation>Saisir ce que disent les deux marques de l&apos;axe droit.</translation>
    </message>
    <message>
        <source>Type what the marks of the axes say.</source>
        <translation>Saisir ce que disent les marques des axes.</translation>
    </message>
    <message>
        <source>Both marks of an axis say the same: one must be higher.</source>
        <translation>Les deux marques d&apos;un axe disent la même chose : une doit être plus haute.</translation>
    </message>
    <message>
        <source>Two marks of one axis lie close together: set one further out.</source>
        <translation>Deux marques d&apos;un axe sont proches : en mettre une plus loin.</translation>
    </message>
    <message>
        <source>The axes run along each other: set their marks again.</source>
        <translation>Les axes se longent : remettre leurs marques.</translation>
    </message>
    <message>
        <source>speed axis</source>
        <translation>axe des régimes</translation>
    </message>
    <message>
        <source>right axis</source>
        <translation>axe droit</translation>
    </message>
    <message>
        <source>left axis</source>
        <translation>axe gauche</translation>
    </message>
    <message>
        <source>Click where the %1 says %2.</source>
        <translation>Cliquer où (%1) dit %2.</translation>
    </message>
    <message>
        <source>Click a low mark of the %1, then type what it says.</source>
        <translation>Cliquer une marque basse (%1), puis saisir ce qu&apos;elle dit.</translation>
    </message>
    <message>
        <source>Click a high mark of the %1, then type what it says.</source>
        <translation>Cliquer une marque haute (%1), puis saisir ce qu&apos;elle dit.</translation>
    </message>
    <message>
        <source>Click along the line of %1. Click a point again to take it away.</source>
        <translation>Cliquer le long de la ligne de %1. Recliquer un point l&apos;enlève.</translation>
    </message>
    <message>
        <source>Click where the line of %1 is to end.</source>
        <translation>Cliquer où la ligne de %1 doit finir.</translation>
    </message>
    <message>
        <source>Click on the line of %1.</source>
        <translation>Cliquer sur la ligne de %1.</translation>
    </message>
    <message>
        <source>Look whether the line of %1 is followed right; click a stretch that is missing.</source>
        <translation>Voir si la ligne de %1 est bien suivie ; cliquer une portion qui manque.</translation>
    </message>
    <message>
        <source>Set the marks of the axes first.</source>
        <translation>Mettre d&apos;abord les marques des axes.</translation>
    </message>
    <message>
        <source>No line is traced yet.</source>
        <translation>Aucune ligne n&apos;est encore relevée.</translation>
    </message>
    <message>
        <source>Say which build each line belongs to.</source>
        <translation>Dire à quel montage appartient chaque ligne.</translation>
    </message>
    <message>
        <source>%1: %2</source>
        <translation>%1 : %2</translation>
    </message>
    <message>
        <source>Take %1 kPa for %2</source>
        <translation>Prendre %1 kPa pour %2</translation>
    </message>
    <message>
        <source>The mean of the pulls before and after it</source>
        <translation>La moyenne des passages avant et après</translation>
    </message>
    <message>
        <source>Take station pressure for %1</source>
        <translation>Prendre la pression de station pour %1</translation>
    </message>
    <message>
        <source>The pressure at the cell&apos;s altitude that belongs to each figure, %1 kPa for the first</source>
        <translation>La pression à l&apos;altitude du banc qui va avec chaque chiffre, %1 kPa pour le premier</translation>
    </message>
    <message>
        <source>Set %1 aside</source>
        <translation>Écarter %1</translation>
    </message>
    <message>
        <source>Leave it out of the sums with this reason; Ctrl+Z takes it back</source>
        <translation>Le laisser des calculs pour cette raison ; Ctrl+Z le reprend</translation>
    </message>
    <message>
        <source>rough near %1: kinks of %2 that the others do not have</source>
        <translation>rugueux vers %1 : des brisures de %2 que les autres n&apos;ont pas</translation>
    </message>
    <message>
        <source>lies %1 off its set as a whole</source>
        <translation>est en entier à %1 de sa série</translation>
    </message>
    <message>
        <source>bends away near %1 by %2</source>
        <translation>s&apos;écarte vers %1 de %2</translation>
    </message>
    <message>
        <source>the two pulls disagree: take another, then look again</source>
        <translation>les deux passages se contredisent : en faire un autre, puis revoir</translation>
    </message>
    <message>
        <source>engine brake</source>
        <translation>frein moteur</translation>
    </message>
    <message>
        <source>hub brake</source>
        <translation>frein de moyeu</translation>
    </message>
    <message>
        <source>chassis rollers</source>
        <translation>rouleaux freinés</translation>
    </message>
    <message>
        <source>inertia rollers</source>
        <translation>rouleaux d&apos;inertie</translation>
    </message>
    <message>
        <source>crank</source>
        <translation>vilebrequin</translation>
    </message>
    <message>
        <source>hub</source>
        <translation>moyeu</translation>
    </message>
    <message>
        <source>petrol</source>
        <translation>essence</translation>
    </message>
    <message>
        <source>diesel</source>
        <translation>gazole</translation>
    </message>
    <message>
        <source>alcohol</source>
        <translation>alcool</translation>
    </message>
    <message>
        <source>gas</source>
        <translation>gaz</translation>
    </message>
    <message>
        <source>other fuel</source>
        <translation>autre carburant</translation>
    </message>
    <message>
        <source>naturally aspirated</source>
        <translation>atmosphérique</translation>
    </message>
    <message>
        <source>turbocharged</source>
        <translation>turbo</translation>
    </message>
    <message>
        <source>supercharged</source>
        <translation>compresseur</translation>
    </message>
    <message>
        <source>%1, carried to the %2 by coast-down</source>
        <translation>%1, ramené à %2 par décélération libre</translation>
    </message>
    <message>
        <source>%1, carried to the %2 by %3 %</source>
        <translation>%1, ramené à %2 par %3 %</translation>
    </message>
    <message>
        <source>measured at the %1</source>
        <translation>mesuré à : %1</translation>
    </message>
    <message>
        <source>%1 cc</source>
        <translation>%1 cm³</translation>
    </message>
    <message>
        <source>stated %1 kW</source>
        <translation>annoncé %1 kW</translation>
    </message>
    <message>
        <source>octane %1</source>
        <translation>octane %1</translation>
    </message>
    <message>
        <source>batch %1</source>
        <translation>lot %1</translation>
    </message>
    <message>
        <source>nitrous</source>
        <translation>protoxyde</translation>
    </message>
    <message>
        <source>%1 kg</source>
        <translation>%1 kg</translation>
    </message>
    <message>
        <source>gears %1</source>
        <translation>rapports %1</translation>
    </message>
    <message>
        <source>final drive %1</source>
        <translation>pont %1</translation>
    </message>
    <message>
        <source>red line %1 rpm</source>
        <translation>régime maximal %1 rpm</translation>
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
        <translation>%1 : %2&#xa0;km/⁠h</translation>
    </message>
    <message>
        <source>from %1</source>
        <translation>dès %1</translation>
    </message>
    <message>
        <source>up to %1</source>
        <translation>jusqu&apos;à %1</translation>
    </message>
    <message>
        <source>Cool-down</source>
        <translation>Refroidir</translation>
    </message>
    <message>
        <source>over</source>
        <translation>passé</translation>
    </message>
    <message>
        <source>Weather</source>
        <translation>Météo</translation>
    </message>
    <message>
        <source>15 min at most</source>
        <translation>15 min au plus</translation>
    </message>
    <message>
        <source>none</source>
        <translation>aucune</translation>
    </message>
    <message>
        <source>%1 old</source>
        <translation>vieux de %1</translation>
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
        <translation>Attendre : %1 %2</translation>
    </message>
    <message>
        <source>%1 not known</source>
        <translation>%1 inconnu</translation>
    </message>
    <message>
        <source>Ready</source>
        <translation>Prêt</translation>
    </message>
    <message>
        <source>%1, %2 · as measured, not corrected</source>
        <translation>%1, %2 · comme mesuré, non corrigé</translation>
    </message>
    <message>
        <source> · dashed: last good pull of %1</source>
        <translation> · tirets : dernier bon passage de %1</translation>
    </message>
    <message>
        <source>s</source>
        <translation>s</translation>
    </message>
    <message>
        <source>Engine speed, rpm · the last minute</source>
        <translation>Régime moteur, rpm · la dernière minute</translation>
    </message>
    <message>
        <source>%1, %2 · as measured, the last minute</source>
        <translation>%1, %2 · comme mesuré, la dernière minute</translation>
    </message>
    <message>
        <source> and %1 more</source>
        <translation> et %1 de plus</translation>
    </message>
    <message>
        <source>%1 of build %2, %3 s%4</source>
        <translation>%1 du montage %2, %3 s%4</translation>
    </message>
    <message>
        <source>recovered from its journal</source>
        <translation>retrouvé de son journal</translation>
    </message>
    <message>
        <source>An altimeter setting needs the altitude of the cell.</source>
        <translation>Un calage altimétrique demande l&apos;altitude du banc.</translation>
    </message>
    <message>
        <source>Station pressure %1 kPa</source>
        <translation>Pression de station %1 kPa</translation>
    </message>
    <message>
        <source>Vapour pressure %1 kPa, %2 % humid</source>
        <translation>Pression de vapeur %1 kPa, %2 % d&apos;humidité</translation>
    </message>
    <message>
        <source>Dry pressure %1 kPa</source>
        <translation>Pression sèche %1 kPa</translation>
    </message>
    <message>
        <source>Density %1 kg/m³</source>
        <translation>Densité %1 kg/m³</translation>
    </message>
    <message>
        <source>Density altitude %1 m</source>
        <translation>Altitude-densité %1 m</translation>
    </message>
    <message>
        <source>Its own range: %1.</source>
        <translation>Sa propre plage : %1.</translation>
    </message>
    <message>
        <source>No range of validity is recalled.</source>
        <translation>Aucune plage de validité connue.</translation>
    </message>
    <message>
        <source>Full form with the measured friction.</source>
        <translation>Forme entière avec le frottement mesuré.</translation>
    </message>
    <message>
        <source>One reading wrong moves the power by: 1 K too warm %1, 1 kPa too high %2, ten points of humidity too many %3.</source>
        <translation>Une lecture fausse déplace la puissance : 1 K trop chaud %1, 1 kPa trop haut %2, dix points d&apos;humidité de trop %3.</translation>
    </message>
    <message>
        <source>Station pressure, kPa</source>
        <translation>Pression de station, kPa</translation>
    </message>
    <message>
        <source>Vapour pressure, kPa</source>
        <translation>Pression de vapeur, kPa</translation>
    </message>
    <message>
        <source>Air factor</source>
        <translation>Facteur d&apos;air</translation>
    </message>
    <message>
        <source>Pull against the mean of its build, %: pale as observed, full after the factor</source>
        <translation>Passage contre la moyenne de son montage, % : pâle comme observé, plein après le facteur</translation>
    </message>
    <message>
        <source>No pull of this day has its weather yet.</source>
        <translation>Aucun passage de cette journée n&apos;a encore sa météo.</translation>
    </message>
    <message>
        <source>Every figure: %1.</source>
        <translation>Chaque chiffre : %1.</translation>
    </message>
    <message>
        <source>Pulls of one build scatter by %1&#xa0;% as observed and by %2&#xa0;% after the factor%3.</source>
        <translation>Les passages d&apos;un montage varient de %1&#xa0;% comme observé et de %2&#xa0;% après le facteur%3.</translation>
    </message>
    <message>
        <source>: here it does not help; look at the school and the readings</source>
        <translation>: ici il n&apos;aide pas ; voir l&apos;école et les lectures</translation>
    </message>
    <message>
        <source>: it helps</source>
        <translation>: il aide</translation>
    </message>
    <message>
        <source>Without weather: %1.</source>
        <translation>Sans météo : %1.</translation>
    </message>
    <message>
        <source>%1 kPa</source>
        <translation>%1 kPa</translation>
    </message>
    <message>
        <source>%1 % humidity</source>
        <translation>%1 % d&apos;humidité</translation>
    </message>
    <message>
        <source>no weather in them</source>
        <translation>pas de météo dedans</translation>
    </message>
    <message>
        <source>Not connected: %1.</source>
        <translation>Pas relié : %1.</translation>
    </message>
    <message>
        <source>Connecting …</source>
        <translation>Liaison …</translation>
    </message>
    <message>
        <source>Connected, but nothing that can be used has come.</source>
        <translation>Relié, mais rien d&apos;utilisable n&apos;est venu.</translation>
    </message>
    <message>
        <source>%1 channels at %2 frames/s: %3.</source>
        <translation>%1 canaux à %2 lignes/s : %3.</translation>
    </message>
    <message>
        <source>%1 sentences: %2.</source>
        <translation>%1 phrases : %2.</translation>
    </message>
    <message>
        <source>%1 answers: %2; %3.</source>
        <translation>%1 réponses : %2 ; %3.</translation>
    </message>
    <message>
        <source> %1 could not be used, last: %2.</source>
        <translation> %1 n&apos;ont pu servir, la dernière : %2.</translation>
    </message>
    <message>
        <source>%1&#xa0;(too&#xa0;fast)</source>
        <translation>%1&#xa0;(trop&#xa0;vite)</translation>
    </message>
    <message>
        <source>Temperature at the intake, °C</source>
        <translation>Température à l&apos;admission, °C</translation>
    </message>
    <message>
        <source>%1 °C</source>
        <translation>%1 °C</translation>
    </message>
    <message>
        <source>steady</source>
        <translation>régulière</translation>
    </message>
    <message>
        <source>cautious</source>
        <translation>prudente</translation>
    </message>
    <message>
        <source>jumps</source>
        <translation>par sauts</translation>
    </message>
    <message>
        <source>Mean of the pulls</source>
        <translation>Moyenne des passages</translation>
    </message>
    <message>
        <source>Best pull</source>
        <translation>Meilleur passage</translation>
    </message>
    <message>
        <source>Median pull</source>
        <translation>Passage médian</translation>
    </message>
    <message>
        <source>Last settled pull</source>
        <translation>Dernier passage posé</translation>
    </message>
    <message>
        <source>two pitches in turn</source>
        <translation>deux sons alternés</translation>
    </message>
    <message>
        <source>one steady pitch</source>
        <translation>un son continu</translation>
    </message>
    <message>
        <source>quick beeps</source>
        <translation>bips rapides</translation>
    </message>
    <message>
        <source>OIL</source>
        <translation>HUILE</translation>
    </message>
    <message>
        <source>COOLANT</source>
        <translation>EAU</translation>
    </message>
    <message>
        <source>EXHAUST</source>
        <translation>ÉCHAPPEMENT</translation>
    </message>
    <message>
        <source>FUEL</source>
        <translation>CARBURANT</translation>
    </message>
    <message>
        <source>KNOCK</source>
        <translation>CLIQUETIS</translation>
    </message>
    <message>
        <source>LEAN</source>
        <translation>PAUVRE</translation>
    </message>
    <message>
        <source>RICH</source>
        <translation>RICHE</translation>
    </message>
    <message>
        <source>BOOST</source>
        <translation>SURALIMENTATION</translation>
    </message>
    <message>
        <source>cannot tell yet</source>
        <translation>encore indécis</translation>
    </message>
    <message>
        <source>base</source>
        <translation>base</translation>
    </message>
    <message>
        <source>%1 or %2</source>
        <translation>%1 ou %2</translation>
    </message>
    <message>
        <source>No order can be told: the pulls do not cover the use, or none is repeated. Widen the use, or make a second pull of a build.</source>
        <translation>Aucun ordre ne peut être dit : les passages ne couvrent pas l&apos;usage, ou aucun n&apos;est répété. Prenez toute la plage, ou faites un deuxième passage d&apos;un montage.</translation>
    </message>
    <message>
        <source>%1 over %2 for the use</source>
        <translation>%1 sur %2 pour l&apos;usage</translation>
    </message>
    <message>
        <source>%1 with the luck of the winner taken off</source>
        <translation>%1, la chance du vainqueur ôtée</translation>
    </message>
    <message>
        <source>Taking it gives away %1&#xa0;% at most</source>
        <translation>Le prendre fait perdre au plus %1&#xa0;%</translation>
    </message>
    <message>
        <source>Chance of being the best: %1&#xa0;%</source>
        <translation>Chance d&apos;être le meilleur : %1&#xa0;%</translation>
    </message>
    <message>
        <source>the use</source>
        <translation>usage</translation>
    </message>
    <message>
        <source>The field holds three builds and more against each other. Builds with pulls in use here: %1.</source>
        <translation>Le plateau oppose trois montages et plus. Montages avec des passages retenus ici : %1.</translation>
    </message>
    <message>
        <source>%1 to %2</source>
        <translation>%1 à %2</translation>
    </message>
    <message>
        <source>as run</source>
        <translation>comme essayé</translation>
    </message>
    <message>
        <source>alone</source>
        <translation>seule</translation>
    </message>
    <message>
        <source>on top of all</source>
        <translation>sur le tout</translation>
    </message>
    <message>
        <source>fair share</source>
        <translation>part équitable</translation>
    </message>
    <message>
        <source>together</source>
        <translation>ensemble</translation>
    </message>
    <message>
        <source>%1&#xa0;% of the whole</source>
        <translation>%1&#xa0;% du tout</translation>
    </message>
    <message>
        <source>gives away %1&#xa0;% at most</source>
        <translation>perd au plus %1&#xa0;%</translation>
    </message>
    <message>
        <source>%1, %2: gain by speed, %3 %4</source>
        <translation>%1, %2 : gain selon le régime, %3 %4</translation>
    </message>
    <message>
        <source>%1: gain for the use over %2, % · band: 95&#xa0;%</source>
        <translation>%1 : gain pour l&apos;usage sur %2, % · bande : 95&#xa0;%</translation>
    </message>
    <message>
        <source>the best lies here</source>
        <translation>le meilleur est ici</translation>
    </message>
    <message>
        <source>Best %1 by speed%2 · band: 95&#xa0;% at each speed</source>
        <translation>Meilleur selon le régime : %1%2 · bande : 95&#xa0;% à chaque régime</translation>
    </message>
    <message>
        <source>Working the day out …</source>
        <translation>Calcul de la journée …</translation>
    </message>
    <message>
        <source>Nothing to give credit for yet: %1.</source>
        <translation>Rien à attribuer encore : %1.</translation>
    </message>
    <message>
        <source>fair shares within the declared bound of %1&#xa0;%</source>
        <translation>parts équitables dans la borne déclarée de %1&#xa0;%</translation>
    </message>
    <message>
        <source>fair shares only if interactions that were not run are nil</source>
        <translation>parts équitables seulement si les interactions non essayées sont nulles</translation>
    </message>
    <message>
        <source>From %1 to %2 it gives away no more than 0.5&#xa0;%</source>
        <translation>De %1 à %2, la perte ne dépasse pas 0,5&#xa0;%</translation>
    </message>
    <message>
        <source>One step more beyond %1 gives %2&#xa0;% at most, if each step gives less than the one before</source>
        <translation>Une étape au-delà de %1 donne au plus %2&#xa0;%, si chaque étape donne moins que la précédente</translation>
    </message>
    <message>
        <source>alone %1</source>
        <translation>seule %1</translation>
    </message>
    <message>
        <source>on top of all %1</source>
        <translation>sur le tout %1</translation>
    </message>
    <message>
        <source>each %1 of an interaction that was not run moves its fair share by up to %2</source>
        <translation>chaque %1 d&apos;une interaction non essayée déplace sa part équitable de %2 au plus</translation>
    </message>
    <message>
        <source>%1 together beyond each by itself: %2</source>
        <translation>%1 ensemble, au-delà de chacune seule : %2</translation>
    </message>
    <message>
        <source>more</source>
        <translation>plus</translation>
    </message>
    <message>
        <source>less</source>
        <translation>moins</translation>
    </message>
    <message>
        <source>Difference %1 − %2</source>
        <translation>Différence %1 − %2</translation>
    </message>
    <message>
        <source>Answer</source>
        <translation>Réponse</translation>
    </message>
    <message>
        <source>Use: %1</source>
        <translation>Usage : %1</translation>
    </message>
    <message>
        <source>%1: nothing to hold against each other yet.</source>
        <translation>%1 : rien encore à comparer.</translation>
    </message>
    <message>
        <source>%1 against %2 on average over %3 rpm: %4.</source>
        <translation>%1 face à %2 en moyenne sur %3 rpm : %4.</translation>
    </message>
    <message>
        <source>%1 together beyond each by itself, % · band: 95&#xa0;% over all interactions</source>
        <translation>%1 ensemble au-delà de chacun seul, % · bande : 95&#xa0;% sur toutes les interactions</translation>
    </message>
    <message>
        <source>Factor over temperature</source>
        <translation>Facteur selon la température</translation>
    </message>
    <message>
        <source>Factor over station pressure</source>
        <translation>Facteur selon la pression</translation>
    </message>
    <message>
        <source>Factor over relative humidity</source>
        <translation>Facteur selon l&apos;humidité relative</translation>
    </message>
    <message>
        <source>Reference build against the mean of its runs, %</source>
        <translation>Montage de référence par rapport à la moyenne de ses passages, %</translation>
    </message>
    <message>
        <source>moved since %1</source>
        <translation>a bougé depuis le %1</translation>
    </message>
    <message>
        <source>Sums of the control chart: above 4 look at the dyno, above 5 it has moved</source>
        <translation>Sommes de la carte de contrôle : au-dessus de 4 regardez le banc, au-dessus de 5 il a bougé</translation>
    </message>
    <message>
        <source>run</source>
        <translation>passage</translation>
    </message>
    <message>
        <source>up</source>
        <translation>hausse</translation>
    </message>
    <message>
        <source>down</source>
        <translation>baisse</translation>
    </message>
    <message>
        <source>No day of a cell is in the logbook yet. Days enter when they are saved.</source>
        <translation>Aucune journée d’un banc n’est encore au carnet. Les journées y entrent quand on les enregistre.</translation>
    </message>
    <message>
        <source>No build has run on enough days yet to watch the dyno by it.</source>
        <translation>Aucun montage n’est encore passé assez de jours pour surveiller le banc.</translation>
    </message>
    <message>
        <source>The dyno is steady: its reference build has not moved.</source>
        <translation>Le banc est stable : son montage de référence n’a pas bougé.</translation>
    </message>
    <message>
        <source> · %1: %2</source>
        <translation> · %1 : %2</translation>
    </message>
    <message>
        <source>Difference %1 − %2, %</source>
        <translation>Différence %1 − %2, %</translation>
    </message>
    <message>
        <source>all of it</source>
        <translation>le tout</translation>
    </message>
    <message>
        <source>%1 over %2</source>
        <translation>%1 sur %2</translation>
    </message>
    <message>
        <source>Against %1: plan a build that differs from it.</source>
        <translation>Contre %1 : prévoir un montage qui en diffère.</translation>
    </message>
    <message>
        <source>%1 against %2: nothing joins them, no interval. Run %2 again first and last: ± %3 %.</source>
        <translation>%1 contre %2 : rien ne les relie, pas d’intervalle. %2 repassé en premier et en dernier : ± %3 %.</translation>
    </message>
    <message>
        <source>%1 against %2: nothing joins them, no interval.</source>
        <translation>%1 contre %2 : rien ne les relie, pas d’intervalle.</translation>
    </message>
    <message>
        <source>%1 against %2: ± %3 %.</source>
        <translation>%1 contre %2 : ± %3 %.</translation>
    </message>
    <message>
        <source> Run %1 again first and last: ± %2 %.</source>
        <translation> %1 repassé en premier et en dernier : ± %2 %.</translation>
    </message>
    <message>
        <source>%1→%2 %3</source>
        <translation>%1→%2 %3</translation>
    </message>
    <message>
        <source>Shift %1 at rpm: %2</source>
        <translation>Passer %1 à rpm : %2</translation>
    </message>
    <message>
        <source>Speed, km/h · the gears of %1</source>
        <translation>Vitesse, km/h · les rapports de %1</translation>
    </message>
    <message>
        <source>%1 later than %2, s · band: 95&#xa0;% at each place</source>
        <translation>%1 après %2, s · bande : 95&#xa0;% à chaque endroit</translation>
    </message>
    <message>
        <source>Whole way</source>
        <translation>Tout le parcours</translation>
    </message>
    <message>
        <source>At its end</source>
        <translation>À la fin</translation>
    </message>
    <message>
        <source>load cell %1</source>
        <translation>capteur %1</translation>
    </message>
    <message>
        <source>station %1</source>
        <translation>station %1</translation>
    </message>
    <message>
        <source>Power, %1</source>
        <translation>Puissance, %1</translation>
    </message>
    <message>
        <source>held</source>
        <translation>tenu</translation>
    </message>
    <message>
        <source>Power held</source>
        <translation>Puissance tenue</translation>
    </message>
    <message>
        <source>Shown off the straight line over what was hung, N·m</source>
        <translation>Écart de l&apos;indication à la droite selon la charge, N·m</translation>
    </message>
    <message>
        <source>zero: %1%2&#xa0;N·m</source>
        <translation>zéro : %1%2&#xa0;N·m</translation>
    </message>
    <message>
        <source>zero came back within %1</source>
        <translation>le zéro est revenu à %1 près</translation>
    </message>
    <message>
        <source>off the straight line: at most %1&#xa0;% of the highest</source>
        <translation>hors de la droite : au plus %1&#xa0;% du plus grand</translation>
    </message>
    <message>
        <source>coming down against going up: %1&#xa0;%</source>
        <translation>à la descente contre la montée : %1&#xa0;%</translation>
    </message>
    <message>
        <source>Top speed · gear</source>
        <translation>V max · rapport</translation>
    </message>
    <message>
        <source>undated</source>
        <translation>sans date</translation>
    </message>
    <message>
        <source>Untitled day</source>
        <translation>Journée sans nom</translation>
    </message>
</context>
<context>
    <name>ReportActions</name>
    <message>
        <source>Print …</source>
        <translation>Imprimer …</translation>
    </message>
    <message>
        <source>The sheet on paper</source>
        <translation>La feuille sur papier</translation>
    </message>
    <message>
        <source>Print to PDF …</source>
        <translation>Imprimer en PDF …</translation>
    </message>
    <message>
        <source>The sheet as PDF</source>
        <translation>La feuille en PDF</translation>
    </message>
    <message>
        <source>Print to PDF</source>
        <translation>Imprimer en PDF</translation>
    </message>
    <message>
        <source>PDF (*.pdf)</source>
        <translation>PDF (*.pdf)</translation>
    </message>
    <message>
        <source>Table as CSV …</source>
        <translation>Tableau en CSV …</translation>
    </message>
    <message>
        <source>Curves and differences as a table</source>
        <translation>Courbes et différences en tableau</translation>
    </message>
    <message>
        <source>Write a table</source>
        <translation>Écrire un tableau</translation>
    </message>
    <message>
        <source>Table (*.csv)</source>
        <translation>Tableau (*.csv)</translation>
    </message>
    <message>
        <source>Report</source>
        <translation>Feuille</translation>
    </message>
    <message>
        <source>The sheet as it will print</source>
        <translation>La feuille telle qu&apos;elle s&apos;imprimera</translation>
    </message>
    <message>
        <source>Page for a browser …</source>
        <translation>Page pour un navigateur …</translation>
    </message>
    <message>
        <source>The sheets as one file that any browser and telephone reads</source>
        <translation>Les feuilles en un fichier que lisent tout navigateur et téléphone</translation>
    </message>
    <message>
        <source>Write a page for a browser</source>
        <translation>Écrire une page pour un navigateur</translation>
    </message>
    <message>
        <source>Page for a browser (*.html)</source>
        <translation>Page pour un navigateur (*.html)</translation>
    </message>
    <message>
        <source>Drawings …</source>
        <translation>Dessins …</translation>
    </message>
    <message>
        <source>The sheets as drawings (SVG), one a page</source>
        <translation>Les feuilles en dessins (SVG), un par page</translation>
    </message>
    <message>
        <source>Write drawings</source>
        <translation>Écrire les dessins</translation>
    </message>
    <message>
        <source>Drawing (*.svg)</source>
        <translation>Dessin (*.svg)</translation>
    </message>
</context>
<context>
    <name>hillrun::AboutDialog</name>
    <message>
        <source>About Hill Run</source>
        <translation>À propos de Hill Run</translation>
    </message>
    <message>
        <source>Hill Run %1</source>
        <translation>Hill Run %1</translation>
    </message>
    <message>
        <source>What did this part do, and can I believe it? Pulls of a dyno, corrected, averaged, compared.</source>
        <translation>Qu&apos;a fait cette pièce, et puis-je le croire ? Passages d&apos;un banc de puissance, corrigés, moyennés, comparés.</translation>
    </message>
    <message>
        <source>Copyright 2026 The Hill Run developers. Free software under the GNU General Public License, version 3 only; it comes without any warranty.</source>
        <translation>Copyright 2026 les développeurs de Hill Run. Logiciel libre sous la GNU General Public License, version 3 seulement ; sans aucune garantie.</translation>
    </message>
    <message>
        <source>It stands on Qt (LGPL 3), QCustomPlot (GPL 3), Eigen (MPL 2), Boost (Boost licence), fmt (MIT), cairo (LGPL 2.1), libarchive (BSD), pugixml (MIT), poppler (GPL 2 or 3), fast_float and JSON for Modern C++ (MIT). The type is B612 (Open Font License).</source>
        <translation>Il repose sur Qt (LGPL 3), QCustomPlot (GPL 3), Eigen (MPL 2), Boost (licence Boost), fmt (MIT), cairo (LGPL 2.1), libarchive (BSD), pugixml (MIT), poppler (GPL 2 ou 3), fast_float et JSON for Modern C++ (MIT). La police est B612 (Open Font License).</translation>
    </message>
    <message>
        <source>Hill Run records and advises. It is no safety device and never drives a brake: guards, extraction, extinguisher, the cell&apos;s own rules, local codes and licensed practice go first.</source>
        <translation>Hill Run enregistre et conseille. Ce n&apos;est pas un dispositif de sécurité et il ne commande jamais un frein : protections, extraction, extincteur, règles du banc, prescriptions locales et pratique qualifiée passent d&apos;abord.</translation>
    </message>
</context>
<context>
    <name>hillrun::AirPanel</name>
    <message>
        <source>Condition</source>
        <translation>Condition</translation>
    </message>
    <message>
        <source>Take the weather of a pull</source>
        <translation>Prendre la météo d&apos;un passage</translation>
    </message>
    <message>
        <source>Fill in the weather of a pull, and the day&apos;s article</source>
        <translation>Reprend la météo d&apos;un passage et l&apos;objet d&apos;essai de la journée</translation>
    </message>
    <message>
        <source>Temperature at the intake</source>
        <translation>Température à l&apos;admission</translation>
    </message>
    <message>
        <source>Which pressure</source>
        <translation>Quelle pression</translation>
    </message>
    <message>
        <source>Station pressure</source>
        <translation>Pression de station</translation>
    </message>
    <message>
        <source>Altimeter setting</source>
        <translation>Calage altimétrique</translation>
    </message>
    <message>
        <source>The QNH of an airfield or weather service; not a pressure reduced with the real temperature</source>
        <translation>Le QNH d&apos;un aérodrome ou d&apos;un service météo ; pas une pression réduite avec la température réelle</translation>
    </message>
    <message>
        <source>Pressure</source>
        <translation>Pression</translation>
    </message>
    <message>
        <source>Altitude of the cell</source>
        <translation>Altitude du banc</translation>
    </message>
    <message>
        <source>Which humidity</source>
        <translation>Quelle humidité</translation>
    </message>
    <message>
        <source>Relative humidity</source>
        <translation>Humidité relative</translation>
    </message>
    <message>
        <source>Dew point</source>
        <translation>Point de rosée</translation>
    </message>
    <message>
        <source>Wet bulb, ventilated</source>
        <translation>Bulbe humide, ventilé</translation>
    </message>
    <message>
        <source>Vapour pressure</source>
        <translation>Pression de vapeur</translation>
    </message>
    <message>
        <source>Humidity</source>
        <translation>Humidité</translation>
    </message>
    <message>
        <source>Write this weather into the selected pull; Ctrl+Z takes it back</source>
        <translation>Écrit cette météo dans le passage choisi ; Ctrl+Z la reprend</translation>
    </message>
    <message>
        <source>To all without</source>
        <translation>À tous ceux sans</translation>
    </message>
    <message>
        <source>Write this weather into every pull that has none; Ctrl+Z takes it back</source>
        <translation>Écrit cette météo dans chaque passage qui n&apos;en a pas ; Ctrl+Z la reprend</translation>
    </message>
    <message>
        <source>Engine</source>
        <translation>Moteur</translation>
    </message>
    <message>
        <source>Ignition</source>
        <translation>Allumage</translation>
    </message>
    <message>
        <source>spark</source>
        <translation>étincelle</translation>
    </message>
    <message>
        <source>compression</source>
        <translation>compression</translation>
    </message>
    <message>
        <source>Charging</source>
        <translation>Alimentation</translation>
    </message>
    <message>
        <source>natural</source>
        <translation>atmosphérique</translation>
    </message>
    <message>
        <source>turbocharged</source>
        <translation>turbo</translation>
    </message>
    <message>
        <source>supercharged</source>
        <translation>compresseur</translation>
    </message>
    <message>
        <source>Boosted engines</source>
        <translation>Moteurs suralimentés</translation>
    </message>
    <message>
        <source>Mechanical efficiency</source>
        <translation>Rendement mécanique</translation>
    </message>
    <message>
        <source>Friction power</source>
        <translation>Puissance de frottement</translation>
    </message>
    <message>
        <source>Observed power at that speed</source>
        <translation>Puissance observée à ce régime</translation>
    </message>
    <message>
        <source>Fuel a litre and cycle</source>
        <translation>Carburant par litre et cycle</translation>
    </message>
    <message>
        <source>Boost pressure ratio</source>
        <translation>Rapport de suralimentation</translation>
    </message>
    <message>
        <source>Charge is cooled by</source>
        <translation>Charge refroidie par</translation>
    </message>
    <message>
        <source>nothing</source>
        <translation>rien</translation>
    </message>
    <message>
        <source>air</source>
        <translation>air</translation>
    </message>
    <message>
        <source>liquid</source>
        <translation>liquide</translation>
    </message>
    <message>
        <source>Friction power, measured</source>
        <translation>Frottement mesuré</translation>
    </message>
    <message>
        <source>at this observed power</source>
        <translation>à la puissance de</translation>
    </message>
    <message>
        <source>Diesel: fuel a litre and cycle</source>
        <translation>Diesel : carburant par cycle</translation>
    </message>
    <message>
        <source>Boosted: air factor</source>
        <translation>Suralimenté : facteur d&apos;air</translation>
    </message>
    <message>
        <source>Boost is held absolute</source>
        <translation>La pression est tenue absolue</translation>
    </message>
    <message>
        <source>All standards for this condition</source>
        <translation>Toutes les normes pour cette condition</translation>
    </message>
    <message>
        <source>typed by hand</source>
        <translation>saisi à la main</translation>
    </message>
    <message>
        <source>as for %1</source>
        <translation>comme pour %1</translation>
    </message>
    <message>
        <source>Give it to %1</source>
        <translation>La donner à %1</translation>
    </message>
    <message>
        <source>Give it to a pull</source>
        <translation>La donner à un passage</translation>
    </message>
    <message>
        <source>Give the weather to all pulls without</source>
        <translation>Donner la météo à tous les passages sans</translation>
    </message>
    <message>
        <source>Give the weather to %1</source>
        <translation>Donner la météo à %1</translation>
    </message>
</context>
<context>
    <name>hillrun::AirTable</name>
    <message>
        <source>no factor</source>
        <translation>pas de facteur</translation>
    </message>
    <message>
        <source>outside its range</source>
        <translation>hors de sa plage</translation>
    </message>
    <message>
        <source>look at the reading</source>
        <translation>voir la lecture</translation>
    </message>
    <message>
        <source>no range known</source>
        <translation>plage inconnue</translation>
    </message>
    <message>
        <source>in range</source>
        <translation>dans la plage</translation>
    </message>
    <message>
        <source>standard</source>
        <translation>norme</translation>
    </message>
    <message>
        <source>factor</source>
        <translation>facteur</translation>
    </message>
    <message>
        <source>on power</source>
        <translation>puissance</translation>
    </message>
    <message>
        <source>by pressure</source>
        <translation>par la pression</translation>
    </message>
    <message>
        <source>by humidity</source>
        <translation>par l&apos;humidité</translation>
    </message>
    <message>
        <source>by temperature</source>
        <translation>par la température</translation>
    </message>
    <message>
        <source>says</source>
        <translation>dit</translation>
    </message>
</context>
<context>
    <name>hillrun::AlarmPanel</name>
    <message>
        <source>Limit passed</source>
        <translation>Limite franchie</translation>
    </message>
    <message>
        <source>Close the throttle. %1.</source>
        <translation>Fermez les gaz. %1.</translation>
    </message>
    <message>
        <source>Close the throttle</source>
        <translation>Fermez les gaz</translation>
    </message>
    <message>
        <source>%1: limit %2</source>
        <translation>%1 : limite %2</translation>
    </message>
    <message>
        <source>Hill Run is no safety device. Space or a touch: seen.</source>
        <translation>Hill Run n’est pas un dispositif de sécurité. Espace ou un toucher : vu.</translation>
    </message>
</context>
<context>
    <name>hillrun::ArticleDialog</name>
    <message>
        <source>Day, cell and article</source>
        <translation>Journée, banc et objet d&apos;essai</translation>
    </message>
    <message>
        <source>Take over</source>
        <translation>Prendre</translation>
    </message>
    <message>
        <source>Write rpm:kW, each speed once, such as 2500:3.1, 4500:7.0</source>
        <translation>Écrire régime:kW, chaque régime une fois, par exemple 2500:3,1 ; 4500:7,0</translation>
    </message>
    <message>
        <source>Write the ratios with blanks between, such as 3.4 2.05 1.36</source>
        <translation>Écrire les rapports séparés de blancs, par exemple 3,4 2,05 1,36</translation>
    </message>
    <message>
        <source>Go back</source>
        <translation>Revenir</translation>
    </message>
    <message>
        <source>Day: the question</source>
        <translation>Journée : la question</translation>
    </message>
    <message>
        <source>Name of the day</source>
        <translation>Nom de la journée</translation>
    </message>
    <message>
        <source>Operator</source>
        <translation>Opérateur</translation>
    </message>
    <message>
        <source>Note</source>
        <translation>Note</translation>
    </message>
    <message>
        <source>Cell</source>
        <translation>Banc</translation>
    </message>
    <message>
        <source>Name of the cell</source>
        <translation>Nom du banc</translation>
    </message>
    <message>
        <source>Kind</source>
        <translation>Genre</translation>
    </message>
    <message>
        <source>Kind of dyno</source>
        <translation>Genre de banc</translation>
    </message>
    <message>
        <source>Power is measured at the</source>
        <translation>Puissance mesurée à</translation>
    </message>
    <message>
        <source>Measured at</source>
        <translation>Mesurée à</translation>
    </message>
    <message>
        <source>Sweep</source>
        <translation>Balayage</translation>
    </message>
    <message>
        <source>up</source>
        <translation>montée</translation>
    </message>
    <message>
        <source>down</source>
        <translation>descente</translation>
    </message>
    <message>
        <source>held steps</source>
        <translation>paliers tenus</translation>
    </message>
    <message>
        <source>Altitude of the cell</source>
        <translation>Altitude du banc</translation>
    </message>
    <message>
        <source>Altitude</source>
        <translation>Altitude</translation>
    </message>
    <message>
        <source>Speed limit of the rollers</source>
        <translation>Vitesse limite des rouleaux</translation>
    </message>
    <message>
        <source>Roller limit</source>
        <translation>Limite des rouleaux</translation>
    </message>
    <message>
        <source>Inertia of the rollers</source>
        <translation>Inertie des rouleaux</translation>
    </message>
    <message>
        <source>Roller inertia</source>
        <translation>Inertie rouleaux</translation>
    </message>
    <message>
        <source>Radius of the rollers</source>
        <translation>Rayon des rouleaux</translation>
    </message>
    <message>
        <source>Roller radius</source>
        <translation>Rayon rouleaux</translation>
    </message>
    <message>
        <source>Article</source>
        <translation>Objet d&apos;essai</translation>
    </message>
    <message>
        <source>Name of the article</source>
        <translation>Nom de l&apos;objet d&apos;essai</translation>
    </message>
    <message>
        <source>Displacement</source>
        <translation>Cylindrée</translation>
    </message>
    <message>
        <source>Cylinders</source>
        <translation>Cylindres</translation>
    </message>
    <message>
        <source>Piston stroke</source>
        <translation>Course du piston</translation>
    </message>
    <message>
        <source>Working cycle</source>
        <translation>Cycle</translation>
    </message>
    <message>
        <source>Strokes</source>
        <translation>Temps</translation>
    </message>
    <message>
        <source>four-stroke</source>
        <translation>quatre temps</translation>
    </message>
    <message>
        <source>two-stroke</source>
        <translation>deux temps</translation>
    </message>
    <message>
        <source>Ignition</source>
        <translation>Allumage</translation>
    </message>
    <message>
        <source>spark</source>
        <translation>étincelle</translation>
    </message>
    <message>
        <source>compression</source>
        <translation>compression</translation>
    </message>
    <message>
        <source>Charging</source>
        <translation>Alimentation</translation>
    </message>
    <message>
        <source>Stated power</source>
        <translation>Puissance annoncée</translation>
    </message>
    <message>
        <source>Red line</source>
        <translation>Régime maximal</translation>
    </message>
    <message>
        <source>Limiter</source>
        <translation>Limiteur</translation>
    </message>
    <message>
        <source>Inertia of engine, flywheel, clutch</source>
        <translation>Inertie du moteur, volant, embrayage</translation>
    </message>
    <message>
        <source>Engine inertia</source>
        <translation>Inertie moteur</translation>
    </message>
    <message>
        <source>Fuel</source>
        <translation>Carburant</translation>
    </message>
    <message>
        <source>Its name</source>
        <translation>Son nom</translation>
    </message>
    <message>
        <source>Name of the fuel</source>
        <translation>Nom du carburant</translation>
    </message>
    <message>
        <source>Octane</source>
        <translation>Octane</translation>
    </message>
    <message>
        <source>Batch</source>
        <translation>Lot</translation>
    </message>
    <message>
        <source>Batch of the fuel</source>
        <translation>Lot du carburant</translation>
    </message>
    <message>
        <source>Nitrous fitted</source>
        <translation>Protoxyde monté</translation>
    </message>
    <message>
        <source>Mass of the vehicle</source>
        <translation>Masse du véhicule</translation>
    </message>
    <message>
        <source>Mass</source>
        <translation>Masse</translation>
    </message>
    <message>
        <source>Tyre radius</source>
        <translation>Rayon du pneu</translation>
    </message>
    <message>
        <source>Final drive</source>
        <translation>Pont</translation>
    </message>
    <message>
        <source>Gear ratios, first gear first</source>
        <translation>Rapports de boîte, la première d&apos;abord</translation>
    </message>
    <message>
        <source>Gear ratios</source>
        <translation>Rapports de boîte</translation>
    </message>
    <message>
        <source>Speed limiter</source>
        <translation>Limiteur de vitesse</translation>
    </message>
    <message>
        <source>Tyre speed limit</source>
        <translation>Vitesse limite des pneus</translation>
    </message>
    <message>
        <source>Tyre limit</source>
        <translation>Limite des pneus</translation>
    </message>
    <message>
        <source>Inertia of wheels and driveline</source>
        <translation>Inertie des roues et de la transmission</translation>
    </message>
    <message>
        <source>Driveline inertia, at wheel speed</source>
        <translation>Inertie transmission, à la roue</translation>
    </message>
    <message>
        <source>Boosted: air factor</source>
        <translation>Suralimenté : facteur d&apos;air</translation>
    </message>
    <message>
        <source>Boosted engines</source>
        <translation>Moteurs suralimentés</translation>
    </message>
    <message>
        <source>Boost is held absolute</source>
        <translation>La pression est tenue absolue</translation>
    </message>
    <message>
        <source>The controller holds the manifold pressure whatever the air outside</source>
        <translation>Le calculateur tient la pression d&apos;admission quel que soit l&apos;air dehors</translation>
    </message>
    <message>
        <source>Mechanical efficiency</source>
        <translation>Rendement mécanique</translation>
    </message>
    <message>
        <source>Friction power, rpm:kW</source>
        <translation>Puissance de frottement, régime:kW</translation>
    </message>
    <message>
        <source>Friction power</source>
        <translation>Puissance de frottement</translation>
    </message>
    <message>
        <source>2500:3.1, 4500:7.0</source>
        <translation>2500:3,1 ; 4500:7,0</translation>
    </message>
    <message>
        <source>Diesel: fuel a litre and cycle</source>
        <translation>Diesel : carburant par cycle</translation>
    </message>
    <message>
        <source>Fuel a litre and cycle</source>
        <translation>Carburant par litre et cycle</translation>
    </message>
    <message>
        <source>Boost pressure ratio</source>
        <translation>Rapport de suralimentation</translation>
    </message>
    <message>
        <source>Charge is cooled by</source>
        <translation>Charge refroidie par</translation>
    </message>
    <message>
        <source>Charge cooling</source>
        <translation>Refroidissement de charge</translation>
    </message>
    <message>
        <source>nothing</source>
        <translation>rien</translation>
    </message>
    <message>
        <source>air</source>
        <translation>air</translation>
    </message>
    <message>
        <source>liquid</source>
        <translation>liquide</translation>
    </message>
    <message>
        <source>Carry power towards the engine</source>
        <translation>Ramener la puissance vers le moteur</translation>
    </message>
    <message>
        <source>Losses on the way</source>
        <translation>Pertes en chemin</translation>
    </message>
    <message>
        <source>no, as measured</source>
        <translation>non, comme mesuré</translation>
    </message>
    <message>
        <source>by coast-down (estimate)</source>
        <translation>par décélération libre (estimation)</translation>
    </message>
    <message>
        <source>by a percentage (crude)</source>
        <translation>par un pourcentage (grossier)</translation>
    </message>
    <message>
        <source>Lost on the way</source>
        <translation>Perdu en chemin</translation>
    </message>
    <message>
        <source>Up to the</source>
        <translation>Jusqu&apos;à</translation>
    </message>
    <message>
        <source>crank</source>
        <translation>vilebrequin</translation>
    </message>
    <message>
        <source>hub</source>
        <translation>moyeu</translation>
    </message>
</context>
<context>
    <name>hillrun::ArticlePanel</name>
    <message>
        <source>Article and cell</source>
        <translation>Objet d&apos;essai et banc</translation>
    </message>
    <message>
        <source>Cards</source>
        <translation>Fiches</translation>
    </message>
    <message>
        <source>Articles kept for other days</source>
        <translation>Objets d&apos;essai gardés pour d&apos;autres jours</translation>
    </message>
    <message>
        <source>Edit …</source>
        <translation>Modifier …</translation>
    </message>
    <message>
        <source>Name, cell, engine, fuel, vehicle</source>
        <translation>Nom, banc, moteur, carburant, véhicule</translation>
    </message>
    <message>
        <source>What is on the dyno?</source>
        <translation>Qu&apos;y a-t-il sur le banc ?</translation>
    </message>
    <message>
        <source>Take the article from its card</source>
        <translation>Prendre l&apos;objet d&apos;essai de sa fiche</translation>
    </message>
    <message>
        <source>This card could not be read</source>
        <translation>Cette fiche n&apos;a pu être lue</translation>
    </message>
    <message>
        <source>Keep this article as a card</source>
        <translation>Garder cet objet d&apos;essai en fiche</translation>
    </message>
    <message>
        <source>The card could not be kept</source>
        <translation>La fiche n&apos;a pu être gardée</translation>
    </message>
    <message>
        <source>Change the article</source>
        <translation>Changer l&apos;objet d&apos;essai</translation>
    </message>
</context>
<context>
    <name>hillrun::BandModel</name>
    <message>
        <source>Added by you. Delete removes it.</source>
        <translation>Ajoutée par vous. Suppr l&apos;enlève.</translation>
    </message>
    <message>
        <source>Always shown: the whole common range, then its thirds.</source>
        <translation>Toujours montrés : toute la plage commune, puis ses tiers.</translation>
    </message>
    <message>
        <source>from–to, rpm</source>
        <translation>de–à, rpm</translation>
    </message>
    <message>
        <source>difference</source>
        <translation>différence</translation>
    </message>
    <message>
        <source>share</source>
        <translation>part</translation>
    </message>
    <message>
        <source>says</source>
        <translation>dit</translation>
    </message>
</context>
<context>
    <name>hillrun::BenchPage</name>
    <message>
        <source>Air</source>
        <translation>Air</translation>
    </message>
    <message>
        <source>One condition under every standard</source>
        <translation>Une condition selon chaque norme</translation>
    </message>
    <message>
        <source>Weather of the day</source>
        <translation>Météo du jour</translation>
    </message>
    <message>
        <source>What the weather did, against the pulls</source>
        <translation>Ce que la météo a fait, face aux passages</translation>
    </message>
    <message>
        <source>Bench</source>
        <translation>Établi</translation>
    </message>
    <message>
        <source>Gears, rollers, units</source>
        <translation>Rapports, rouleaux, unités</translation>
    </message>
    <message>
        <source>Road speed in each gear, inertia of rollers, units</source>
        <translation>Vitesse dans chaque rapport, inertie de rouleaux, unités</translation>
    </message>
    <message>
        <source>Calculators, and the day&apos;s weather</source>
        <translation>Calculateurs, et la météo de la journée</translation>
    </message>
    <message>
        <source>Load cell, weather station</source>
        <translation>Capteur de force, station météo</translation>
    </message>
    <message>
        <source>Check the load cell by masses on an arm, the weather station beside a better instrument</source>
        <translation>Contrôler le capteur de force par des masses sur un bras, la station météo à côté d&apos;un meilleur instrument</translation>
    </message>
</context>
<context>
    <name>hillrun::BesidePanel</name>
    <message>
        <source>Choose two days (Ctrl+click) to put them beside each other; further ones join them.</source>
        <translation>Choisissez deux journées (Ctrl+clic) pour les mettre côte à côte ; d’autres les relient.</translation>
    </message>
    <message>
        <source>Build that is compared against</source>
        <translation>Montage auquel on compare</translation>
    </message>
    <message>
        <source>Build that is looked at</source>
        <translation>Montage que l’on regarde</translation>
    </message>
</context>
<context>
    <name>hillrun::Board</name>
    <message>
        <source>empty board</source>
        <translation>tableau vide</translation>
    </message>
</context>
<context>
    <name>hillrun::BuildCard</name>
    <message>
        <source>no pull in use</source>
        <translation>aucun passage retenu</translation>
    </message>
    <message>
        <source>pull</source>
        <translation>passage</translation>
    </message>
    <message>
        <source>pulls</source>
        <translation>passages</translation>
    </message>
    <message>
        <source>curve only</source>
        <translation>courbe seule</translation>
    </message>
    <message>
        <source> · peak %1 %2, %3 rpm</source>
        <translation> · max. %1 %2, %3 rpm</translation>
    </message>
</context>
<context>
    <name>hillrun::BuildModel</name>
    <message>
        <source>Change %1 of %2</source>
        <translation>Changer %1 de %2</translation>
    </message>
    <message>
        <source>Name</source>
        <translation>Nom</translation>
    </message>
    <message>
        <source>Cost</source>
        <translation>Coût</translation>
    </message>
    <message>
        <source>Mass</source>
        <translation>Masse</translation>
    </message>
    <message>
        <source>Note</source>
        <translation>Note</translation>
    </message>
    <message>
        <source>Attached</source>
        <translation>Joints</translation>
    </message>
    <message>
        <source>Add build %1</source>
        <translation>Ajouter le montage %1</translation>
    </message>
    <message>
        <source>Remove build %1</source>
        <translation>Enlever le montage %1</translation>
    </message>
    <message>
        <source>Add %1</source>
        <translation>Ajouter %1</translation>
    </message>
    <message>
        <source>Say that %1 is %2</source>
        <translation>Dire que %1 est : %2</translation>
    </message>
    <message>
        <source>Remove %1</source>
        <translation>Enlever %1</translation>
    </message>
    <message>
        <source>Attach to %1</source>
        <translation>Joindre à %1</translation>
    </message>
</context>
<context>
    <name>hillrun::BuildsPanel</name>
    <message>
        <source>Builds</source>
        <translation>Montages</translation>
    </message>
    <message>
        <source>Add build</source>
        <translation>Ajouter montage</translation>
    </message>
    <message>
        <source>A copy of the build that is selected</source>
        <translation>Une copie du montage choisi</translation>
    </message>
    <message>
        <source>Add part</source>
        <translation>Ajouter pièce</translation>
    </message>
    <message>
        <source>A row for a part</source>
        <translation>Une ligne pour une pièce</translation>
    </message>
    <message>
        <source>Add setting</source>
        <translation>Ajouter réglage</translation>
    </message>
    <message>
        <source>A row for a setting</source>
        <translation>Une ligne pour un réglage</translation>
    </message>
    <message>
        <source>What this part or setting acts on</source>
        <translation>Sur quoi agit cette pièce ou ce réglage</translation>
    </message>
    <message>
        <source>What the selected part or setting acts on. Guessed from its name; it tells which other differences it explains: jets the mixture, boost the pressures.</source>
        <translation>Sur quoi agit la pièce ou le réglage choisi. Deviné d&apos;après son nom ; cela dit quelles autres différences il explique : gicleurs le mélange, suralimentation les pressions.</translation>
    </message>
    <message>
        <source>Attach …</source>
        <translation>Joindre …</translation>
    </message>
    <message>
        <source>Photos, sound or sheets to the selected build</source>
        <translation>Photos, son ou feuilles au montage choisi</translation>
    </message>
    <message>
        <source>Remove row</source>
        <translation>Ôter ligne</translation>
    </message>
    <message>
        <source>Take this part or setting out of every build</source>
        <translation>Enlève cette pièce ou ce réglage de chaque montage</translation>
    </message>
    <message>
        <source>Remove build</source>
        <translation>Ôter montage</translation>
    </message>
    <message>
        <source>Only builds without pulls can go</source>
        <translation>Seuls les montages sans passages peuvent partir</translation>
    </message>
    <message>
        <source>Builds and what differs between them</source>
        <translation>Montages et ce qui les distingue</translation>
    </message>
    <message>
        <source>not taken: a number is wanted here, such as 12.5</source>
        <translation>pas pris : un nombre est attendu ici, par exemple 12,5</translation>
    </message>
    <message>
        <source>Add a part</source>
        <translation>Ajouter une pièce</translation>
    </message>
    <message>
        <source>Add a setting</source>
        <translation>Ajouter un réglage</translation>
    </message>
    <message>
        <source>Name of the part, such as “collector”</source>
        <translation>Nom de la pièce, par exemple « collecteur »</translation>
    </message>
    <message>
        <source>Name of the setting, such as “ignition map”</source>
        <translation>Nom du réglage, par exemple « cartographie »</translation>
    </message>
    <message>
        <source>Nothing was attached</source>
        <translation>Rien n&apos;a été joint</translation>
    </message>
    <message>
        <source>Save the day as a folder first: attachments live in it.</source>
        <translation>Sauver d&apos;abord la journée en dossier : les pièces jointes y vivent.</translation>
    </message>
    <message>
        <source>A file was not attached</source>
        <translation>Un fichier n&apos;a pas été joint</translation>
    </message>
</context>
<context>
    <name>hillrun::ByteLink</name>
    <message>
        <source>the other side closed the connection</source>
        <translation>l&apos;autre côté a fermé la liaison</translation>
    </message>
</context>
<context>
    <name>hillrun::CautionsPanel</name>
    <message>
        <source>Cautions</source>
        <translation>Précautions</translation>
    </message>
    <message>
        <source>Who ticks this?</source>
        <translation>Qui coche ceci ?</translation>
    </message>
    <message>
        <source>Your name is kept with the tick.</source>
        <translation>Votre nom est gardé avec la coche.</translation>
    </message>
    <message>
        <source>Tick a caution</source>
        <translation>Cocher une précaution</translation>
    </message>
    <message>
        <source>Take a tick back</source>
        <translation>Reprendre une coche</translation>
    </message>
    <message>
        <source>Ticked by %1, %2</source>
        <translation>Coché par %1, %2</translation>
    </message>
    <message>
        <source>all ticked</source>
        <translation>toutes cochées</translation>
    </message>
    <message>
        <source>%1 open</source>
        <translation>%1 ouvertes</translation>
    </message>
</context>
<context>
    <name>hillrun::CellPanel</name>
    <message>
        <source>Cell</source>
        <translation>Banc</translation>
    </message>
</context>
<context>
    <name>hillrun::CellWorker</name>
    <message>
        <source>a sentence has a wrong checksum</source>
        <translation>une phrase a une mauvaise somme de contrôle</translation>
    </message>
    <message>
        <source>this is not an NMEA sentence</source>
        <translation>ce n&apos;est pas une phrase NMEA</translation>
    </message>
</context>
<context>
    <name>hillrun::ChangeDialog</name>
    <message>
        <source>Change the build</source>
        <translation>Changer le montage</translation>
    </message>
    <message>
        <source>Build on the dyno now</source>
        <translation>Montage maintenant sur le banc</translation>
    </message>
    <message>
        <source>On the dyno now</source>
        <translation>Maintenant sur le banc</translation>
    </message>
    <message>
        <source>What was really done</source>
        <translation>Ce qui a vraiment été fait</translation>
    </message>
    <message>
        <source>What was really done, and what else was touched: lash, timing, gasket, jets, map, battery, bottle …</source>
        <translation>Ce qui a vraiment été fait, et ce qui a été touché d&apos;autre : jeux, calage, joint, gicleurs, cartographie, batterie, bouteille …</translation>
    </message>
    <message>
        <source>After engine work break it in first. After a new map or battery the first pulls climb until the control unit has settled. The time is kept with the note.</source>
        <translation>Après un travail sur le moteur, le roder d&apos;abord. Après une nouvelle cartographie ou batterie, les premiers passages montent jusqu&apos;à ce que le calculateur se pose. L&apos;heure est gardée avec la note.</translation>
    </message>
    <message>
        <source>It is fitted</source>
        <translation>C&apos;est monté</translation>
    </message>
    <message>
        <source>Go back</source>
        <translation>Revenir</translation>
    </message>
    <message>
        <source>%1: %2 → %3</source>
        <translation>%1 : %2 → %3</translation>
    </message>
    <message>
        <source>By the plan nothing changes against %1.</source>
        <translation>D&apos;après le plan rien ne change par rapport à %1.</translation>
    </message>
    <message>
        <source>By the plan: %1</source>
        <translation>D&apos;après le plan : %1</translation>
    </message>
    <message>
        <source>It was taken off and fitted again: a new set begins</source>
        <translation>Il a été déposé et remonté : une nouvelle série commence</translation>
    </message>
</context>
<context>
    <name>hillrun::ChannelGrid</name>
    <message>
        <source>Channels over engine speed</source>
        <translation>Canaux selon le régime</translation>
    </message>
</context>
<context>
    <name>hillrun::CheckPage</name>
    <message>
        <source>Pulls of the day</source>
        <translation>Passages de la journée</translation>
    </message>
    <message>
        <source>Numbers of all pulls shown at the cursor</source>
        <translation>Nombres de tous les passages montrés au curseur</translation>
    </message>
    <message>
        <source>Take back</source>
        <translation>Reprendre</translation>
    </message>
    <message>
        <source>Set aside</source>
        <translation>Écarter</translation>
    </message>
    <message>
        <source>Let go of %1</source>
        <translation>Lâcher %1</translation>
    </message>
    <message>
        <source>Hold beside</source>
        <translation>Tenir à côté</translation>
    </message>
    <message>
        <source>No pulls in this day yet. Drop logger files on the window, or press Ctrl+I.</source>
        <translation>Aucun passage encore dans cette journée. Déposer des fichiers d&apos;enregistreur sur la fenêtre, ou Ctrl+I.</translation>
    </message>
    <message>
        <source>No day is open. Press Ctrl+O to open one.</source>
        <translation>Aucune journée n&apos;est ouverte. Ctrl+O en ouvre une.</translation>
    </message>
    <message>
        <source>Note that %1 was not fitted again</source>
        <translation>Noter que %1 n&apos;a pas été remonté</translation>
    </message>
    <message>
        <source>Note that %1 was fitted again</source>
        <translation>Noter que %1 a été remonté</translation>
    </message>
</context>
<context>
    <name>hillrun::ClaimsPanel</name>
    <message>
        <source>Drift over the day is at most</source>
        <translation>La dérive sur la journée est au plus de</translation>
    </message>
    <message>
        <source>Only for days without a return to base: claims then hold if drift stayed below it</source>
        <translation>Seulement pour des journées sans retour à la base : les dires valent alors si la dérive est restée dessous</translation>
    </message>
    <message>
        <source>comparisons named beforehand</source>
        <translation>comparaisons nommées d&apos;avance</translation>
    </message>
    <message>
        <source>drift at most</source>
        <translation>dérive au plus</translation>
    </message>
    <message>
        <source>Declare a drift bound</source>
        <translation>Déclarer une limite de dérive</translation>
    </message>
    <message>
        <source>Name %1 to %2 beforehand</source>
        <translation>Nommer %1 à %2 d&apos;avance</translation>
    </message>
    <message>
        <source>No longer name %1 to %2</source>
        <translation>Ne plus nommer %1 à %2</translation>
    </message>
    <message>
        <source>Judged by its own band when it is named before the pulls; while none is named, all of these are judged together by the wider band of all</source>
        <translation>Jugée par sa propre bande si elle est nommée avant les passages ; tant qu&apos;aucune n&apos;est nommée, toutes sont jugées ensemble par la bande plus large de toutes</translation>
    </message>
    <message>
        <source>refitting (sd)</source>
        <translation>remontage (sd)</translation>
    </message>
    <message>
        <source>Fitting a build again adds (sd)</source>
        <translation>Un remontage ajoute (sd)</translation>
    </message>
    <message>
        <source>Left open, the answer says how much refitting would undo it. With a number, the intervals allow for it.</source>
        <translation>Laissé ouvert, la réponse dit de combien un remontage la renverserait. Avec un nombre, les intervalles en tiennent compte.</translation>
    </message>
    <message>
        <source>As learned</source>
        <translation>Comme appris</translation>
    </message>
    <message>
        <source>Take what this cell has taught of refitting</source>
        <translation>Prendre ce que ce banc a appris du remontage</translation>
    </message>
    <message>
        <source>Change what fitting again adds</source>
        <translation>Modifier ce que le remontage ajoute</translation>
    </message>
    <message>
        <source>Take what the cell has taught of refitting</source>
        <translation>Prendre ce que le banc a appris du remontage</translation>
    </message>
    <message>
        <source>Few repeats: as on earlier days</source>
        <translation>Peu de passages : comme aux journées antérieures</translation>
    </message>
    <message>
        <source>With one pull a build, or two, today cannot tell what it repeats within. Then it is taken to repeat as this cell&apos;s earlier days do, and the answer says so.</source>
        <translation>Avec un ou deux passages par montage, la journée ne dit pas dans quelle marge elle se répète. On admet alors qu&apos;elle se répète comme les journées antérieures de ce banc, et la réponse le dit.</translation>
    </message>
    <message>
        <source>Count on earlier days&apos; repeats</source>
        <translation>Compter les répétitions des journées antérieures</translation>
    </message>
    <message>
        <source>Count today&apos;s repeats alone</source>
        <translation>Ne compter que les répétitions du jour</translation>
    </message>
</context>
<context>
    <name>hillrun::ColumnTable</name>
    <message>
        <source>date</source>
        <translation>date</translation>
    </message>
    <message>
        <source>number of the row</source>
        <translation>numéro de ligne</translation>
    </message>
    <message>
        <source>run</source>
        <translation>tour</translation>
    </message>
    <message>
        <source>weather: temperature</source>
        <translation>météo : température</translation>
    </message>
    <message>
        <source>weather: pressure</source>
        <translation>météo : pression</translation>
    </message>
    <message>
        <source>weather: humidity</source>
        <translation>météo : humidité</translation>
    </message>
    <message>
        <source>(left out)</source>
        <translation>(laissée)</translation>
    </message>
    <message>
        <source>its own name</source>
        <translation>son propre nom</translation>
    </message>
    <message>
        <source>column</source>
        <translation>colonne</translation>
    </message>
    <message>
        <source>means</source>
        <translation>veut dire</translation>
    </message>
    <message>
        <source>unit</source>
        <translation>unité</translation>
    </message>
    <message>
        <source>gauge</source>
        <translation>relative</translation>
    </message>
    <message>
        <source>times</source>
        <translation>fois</translation>
    </message>
    <message>
        <source>some values</source>
        <translation>quelques valeurs</translation>
    </message>
    <message>
        <source>(no name)</source>
        <translation>(sans nom)</translation>
    </message>
    <message>
        <source>%1: guessed, please check</source>
        <translation>%1 : deviné, à vérifier</translation>
    </message>
    <message>
        <source>unit of %1</source>
        <translation>unité de %1</translation>
    </message>
    <message>
        <source>Counts from the surrounding air, not from zero</source>
        <translation>Compte depuis l&apos;air ambiant, pas depuis zéro</translation>
    </message>
    <message>
        <source>factor of %1</source>
        <translation>facteur de %1</translation>
    </message>
    <message>
        <source>Times this before anything else; -1 turns a reaction round</source>
        <translation>Fois ceci avant tout le reste ; -1 retourne une réaction</translation>
    </message>
    <message>
        <source>not taken: a factor is a number, such as -1 or 9.81</source>
        <translation>pas pris : un facteur est un nombre comme -1 ou 9,81</translation>
    </message>
</context>
<context>
    <name>hillrun::CommandSearch</name>
    <message>
        <source>Search commands</source>
        <translation>Chercher des commandes</translation>
    </message>
    <message>
        <source>What do you want to do?</source>
        <translation>Que voulez-vous faire ?</translation>
    </message>
</context>
<context>
    <name>hillrun::ComparePage</name>
    <message>
        <source>No day is open.</source>
        <translation>Aucune journée n&apos;est ouverte.</translation>
    </message>
    <message>
        <source>Working the day out …</source>
        <translation>La journée est calculée …</translation>
    </message>
    <message>
        <source>Nothing to compare yet: %1.</source>
        <translation>Rien à comparer encore : %1.</translation>
    </message>
    <message>
        <source>Choose two builds with pulls in use.</source>
        <translation>Choisir deux montages avec des passages retenus.</translation>
    </message>
    <message>
        <source>not one of the planned comparisons: judged by the band over all pairs</source>
        <translation>pas une des comparaisons prévues : jugée par la bande sur toutes les paires</translation>
    </message>
    <message>
        <source>named beforehand: judged by its own band</source>
        <translation>nommée d&apos;avance : jugée par sa propre bande</translation>
    </message>
    <message>
        <source>drift of %1 per hour is taken out</source>
        <translation>une dérive de %1 par heure est retirée</translation>
    </message>
    <message>
        <source>one pull repeats within %1&#xa0;%</source>
        <translation>un passage se répète à %1&#xa0;% près</translation>
    </message>
    <message>
        <source>Open a day folder or a package with Ctrl+O, or drop logger files on the window</source>
        <translation>Ouvrir un dossier ou un paquet avec Ctrl+O, ou déposer des fichiers d&apos;enregistreur sur la fenêtre</translation>
    </message>
    <message>
        <source>Pair</source>
        <translation>Paire</translation>
    </message>
    <message>
        <source>Field</source>
        <translation>Plateau</translation>
    </message>
    <message>
        <source>Other days</source>
        <translation>Autres jours</translation>
    </message>
</context>
<context>
    <name>hillrun::CreditPage</name>
    <message>
        <source>No day is open.</source>
        <translation>Aucune journée n&apos;est ouverte.</translation>
    </message>
    <message>
        <source>Part</source>
        <translation>Pièce</translation>
    </message>
    <message>
        <source>Gain</source>
        <translation>Gain</translation>
    </message>
    <message>
        <source>Of the base</source>
        <translation>De la base</translation>
    </message>
    <message>
        <source>Besides</source>
        <translation>En outre</translation>
    </message>
    <message>
        <source>Use …</source>
        <translation>Usage …</translation>
    </message>
    <message>
        <source>This day</source>
        <translation>Cette journée</translation>
    </message>
    <message>
        <source>Over days</source>
        <translation>Sur les jours</translation>
    </message>
    <message>
        <source>Looking into the logbook …</source>
        <translation>On regarde dans le carnet …</translation>
    </message>
</context>
<context>
    <name>hillrun::CreditPicture</name>
    <message>
        <source>%1, not run</source>
        <translation>%1, pas essayé</translation>
    </message>
    <message>
        <source>Net of the builds</source>
        <translation>Réseau des montages</translation>
    </message>
    <message>
        <source>Stairs of the parts</source>
        <translation>Escalier des pièces</translation>
    </message>
    <message>
        <source>%1 to %2: %3</source>
        <translation>%1 à %2 : %3</translation>
    </message>
    <message>
        <source>nothing to show</source>
        <translation>rien à montrer</translation>
    </message>
</context>
<context>
    <name>hillrun::CurveChoice</name>
    <message>
        <source>Curve that is compared</source>
        <translation>Courbe qui est comparée</translation>
    </message>
    <message>
        <source>Power, torque, or any other curve that the pulls have (Q: power and torque)</source>
        <translation>Puissance, couple, ou toute autre courbe des passages (Q : puissance et couple)</translation>
    </message>
</context>
<context>
    <name>hillrun::DayDocument</name>
    <message>
        <source>Undo: %1</source>
        <translation>Annuler : %1</translation>
    </message>
    <message>
        <source>Undo what was saved</source>
        <translation>Annuler ce qui a été sauvé</translation>
    </message>
    <message>
        <source>Set aside %1</source>
        <translation>Écarter %1</translation>
    </message>
    <message>
        <source>Take back %1</source>
        <translation>Reprendre %1</translation>
    </message>
    <message>
        <source>Trim %1</source>
        <translation>Couper %1</translation>
    </message>
    <message>
        <source>Undo the trim of %1</source>
        <translation>Annuler la coupe de %1</translation>
    </message>
    <message>
        <source>Take %1 kPa for %2</source>
        <translation>Prendre %1 kPa pour %2</translation>
    </message>
    <message>
        <source>%1: %2</source>
        <translation>%1 : %2</translation>
    </message>
</context>
<context>
    <name>hillrun::DayFiles</name>
    <message>
        <source>This day could not be opened</source>
        <translation>Cette journée n&apos;a pu être ouverte</translation>
    </message>
    <message>
        <source>Edits cannot be kept against a crash: %1 Save soon.</source>
        <translation>Les changements ne peuvent être gardés contre une panne : %1 Sauver bientôt.</translation>
    </message>
    <message>
        <source>Understood</source>
        <translation>Compris</translation>
    </message>
    <message>
        <source>New day</source>
        <translation>Nouvelle journée</translation>
    </message>
    <message>
        <source>as it is</source>
        <translation>tel quel</translation>
    </message>
    <message>
        <source>The day has no place yet: %1 Save it elsewhere before the first pull.</source>
        <translation>La journée n&apos;a pas encore de place : %1 La sauver ailleurs avant le premier passage.</translation>
    </message>
    <message>
        <source>Save as …</source>
        <translation>Sauver sous …</translation>
    </message>
    <message>
        <source>Reading %1 …</source>
        <translation>Lecture de %1 …</translation>
    </message>
    <message>
        <source>Cancel</source>
        <translation>Abandonner</translation>
    </message>
    <message>
        <source>This day cannot be written where it is (%1). Edits can be saved elsewhere.</source>
        <translation>Cette journée ne peut être écrite où elle est (%1). Les changements peuvent être sauvés ailleurs.</translation>
    </message>
    <message>
        <source>This day is open for writing elsewhere: %1. Here it can be read only.</source>
        <translation>Cette journée est ouverte en écriture ailleurs : %1. Ici elle ne peut qu&apos;être lue.</translation>
    </message>
    <message>
        <source>Take over</source>
        <translation>Prendre</translation>
    </message>
    <message>
        <source>Save a copy …</source>
        <translation>Sauver une copie …</translation>
    </message>
    <message>
        <source>Another window has taken the edits in</source>
        <translation>Une autre fenêtre a pris les changements</translation>
    </message>
    <message>
        <source>Look at the day there.</source>
        <translation>Voir la journée là-bas.</translation>
    </message>
    <message>
        <source>The kept day could not be read</source>
        <translation>La journée gardée n&apos;a pu être lue</translation>
    </message>
    <message>
        <source> (kept)</source>
        <translation> (gardée)</translation>
    </message>
    <message>
        <source>Open what was kept</source>
        <translation>Ouvrir ce qui a été gardé</translation>
    </message>
    <message>
        <source>Not saved: the day was changed on disk since it was read.</source>
        <translation>Pas sauvé : la journée a été changée sur le disque depuis sa lecture.</translation>
    </message>
    <message>
        <source>Reload it</source>
        <translation>La recharger</translation>
    </message>
    <message>
        <source>Save mine beside it</source>
        <translation>Sauver la mienne à côté</translation>
    </message>
    <message>
        <source>What differs?</source>
        <translation>Qu&apos;est-ce qui diffère ?</translation>
    </message>
    <message>
        <source>The day on disk cannot be read</source>
        <translation>La journée sur le disque ne peut être lue</translation>
    </message>
    <message>
        <source>Here and on disk</source>
        <translation>Ici et sur le disque</translation>
    </message>
    <message>
        <source>Nothing differs.</source>
        <translation>Rien ne diffère.</translation>
    </message>
    <message>
        <source>none yet</source>
        <translation>aucune encore</translation>
    </message>
    <message>
        <source>Saved.</source>
        <translation>Sauvé.</translation>
    </message>
    <message>
        <source>Save elsewhere …</source>
        <translation>Sauver ailleurs …</translation>
    </message>
    <message>
        <source>The day could not be saved</source>
        <translation>La journée n&apos;a pu être sauvée</translation>
    </message>
    <message>
        <source>Saved to %1.</source>
        <translation>Sauvé dans %1.</translation>
    </message>
    <message>
        <source>Save the day as</source>
        <translation>Sauver la journée sous</translation>
    </message>
    <message>
        <source>Day folder or package (*)</source>
        <translation>Dossier ou paquet de journée (*)</translation>
    </message>
    <message>
        <source>%1 could not be taken along: %2.</source>
        <translation>%1 n&apos;a pu être emporté : %2.</translation>
    </message>
    <message>
        <source>The file could not be written</source>
        <translation>Le fichier n&apos;a pu être écrit</translation>
    </message>
    <message>
        <source>Written: %1</source>
        <translation>Écrit : %1</translation>
    </message>
    <message>
        <source>The copy of the day could not be written</source>
        <translation>La copie de la journée n&apos;a pas pu être écrite</translation>
    </message>
    <message>
        <source>A copy of this day is here already, and it differs from the one in the logbook.</source>
        <translation>Une copie de cette journée est déjà ici, et elle diffère de celle du carnet.</translation>
    </message>
    <message>
        <source>Open the copy here</source>
        <translation>Ouvrir la copie qui est ici</translation>
    </message>
    <message>
        <source>Open the logbook&apos;s beside it</source>
        <translation>Ouvrir celle du carnet à côté</translation>
    </message>
    <message>
        <source>A copy of a day of %1. What is edited and saved here stays here: the logbook keeps theirs.</source>
        <translation>Une copie d’une journée de %1. Ce qui est modifié et sauvé ici reste ici : le carnet garde la leur.</translation>
    </message>
</context>
<context>
    <name>hillrun::DayImports</name>
    <message>
        <source>Reading %1…%2</source>
        <translation>Lecture de %1…%2</translation>
    </message>
    <message>
        <source>Cancel</source>
        <translation>Abandonner</translation>
    </message>
    <message>
        <source>A file could not be read</source>
        <translation>Un fichier n&apos;a pu être lu</translation>
    </message>
    <message>
        <source>%1 files could not be read</source>
        <translation>%1 fichiers n&apos;ont pu être lus</translation>
    </message>
    <message>
        <source>The log could not be read</source>
        <translation>L&apos;enregistrement n&apos;a pu être lu</translation>
    </message>
    <message>
        <source>The log could not be laid on</source>
        <translation>L&apos;enregistrement n&apos;a pu être posé</translation>
    </message>
    <message>
        <source>Lay on %1</source>
        <translation>Poser %1</translation>
    </message>
    <message>
        <source>New day</source>
        <translation>Nouvelle journée</translation>
    </message>
    <message>
        <source>The picture could not be opened</source>
        <translation>L&apos;image n&apos;a pu être ouverte</translation>
    </message>
    <message>
        <source>Trace %1</source>
        <translation>Relever %1</translation>
    </message>
    <message>
        <source>Type %1</source>
        <translation>Saisir %1</translation>
    </message>
    <message>
        <source>The curve could not be taken</source>
        <translation>La courbe n&apos;a pu être prise</translation>
    </message>
    <message>
        <source>The files could not be imported</source>
        <translation>Les fichiers n&apos;ont pu être importés</translation>
    </message>
    <message>
        <source>Import %1</source>
        <translation>Importer %1</translation>
    </message>
</context>
<context>
    <name>hillrun::DayOffers</name>
    <message>
        <source>Nothing is kept that is not in a day.</source>
        <translation>Rien n&apos;est gardé qui ne soit dans une journée.</translation>
    </message>
    <message>
        <source>Something that was kept cannot be read</source>
        <translation>Une chose gardée ne peut être lue</translation>
    </message>
    <message>
        <source>That did not work</source>
        <translation>Cela n&apos;a pas marché</translation>
    </message>
    <message>
        <source>recordings that are not in the day: %1</source>
        <translation>enregistrements qui ne sont pas dans la journée : %1</translation>
    </message>
    <message>
        <source>edits that were not saved (%1): %2</source>
        <translation>changements non sauvés (%1) : %2</translation>
    </message>
    <message>
        <source>Kept from the last time: %1.</source>
        <translation>Gardé de la dernière fois : %1.</translation>
    </message>
    <message>
        <source>; and </source>
        <translation>; et </translation>
    </message>
    <message>
        <source>Take it in</source>
        <translation>Le prendre</translation>
    </message>
    <message>
        <source>Leave it out</source>
        <translation>Le laisser</translation>
    </message>
    <message>
        <source>Later</source>
        <translation>Plus tard</translation>
    </message>
    <message>
        <source>Another window has taken the edits in</source>
        <translation>Une autre fenêtre a pris les changements</translation>
    </message>
    <message>
        <source>Look at the day there; nothing was changed here.</source>
        <translation>Voir la journée là-bas ; rien n&apos;a été changé ici.</translation>
    </message>
    <message>
        <source>Take in what was kept</source>
        <translation>Prendre ce qui a été gardé</translation>
    </message>
    <message>
        <source>%1 could not be read and is left out. %2</source>
        <translation>%1 n&apos;a pu être lu et est laissé. %2</translation>
    </message>
    <message>
        <source>Set it aside</source>
        <translation>L&apos;écarter</translation>
    </message>
    <message>
        <source>its file cannot be read</source>
        <translation>son fichier ne peut être lu</translation>
    </message>
    <message>
        <source>Go on without</source>
        <translation>Continuer sans</translation>
    </message>
    <message>
        <source>%1 is left out: its file %2 is not the one that was stored (the checksum does not fit).</source>
        <translation>%1 est laissé : son fichier %2 n&apos;est pas celui qui a été gardé (la somme de contrôle ne va pas).</translation>
    </message>
    <message>
        <source>Take it as it is</source>
        <translation>Le prendre tel quel</translation>
    </message>
    <message>
        <source>its file was changed and taken as it is</source>
        <translation>son fichier a été changé et pris tel quel</translation>
    </message>
    <message>
        <source>Take %1 as it is</source>
        <translation>Prendre %1 tel quel</translation>
    </message>
    <message>
        <source>its file was changed</source>
        <translation>son fichier a été changé</translation>
    </message>
    <message>
        <source>%1 could not be read and is left out. It can be repaired (%2); its file stays as it is.</source>
        <translation>%1 n&apos;a pu être lu et est laissé. Il peut être réparé (%2) ; son fichier reste tel quel.</translation>
    </message>
    <message>
        <source>Repair it</source>
        <translation>Le réparer</translation>
    </message>
    <message>
        <source>Repair %1</source>
        <translation>Réparer %1</translation>
    </message>
    <message>
        <source>repaired: %1</source>
        <translation>réparé : %1</translation>
    </message>
    <message>
        <source>%1 hold the same rows to the digit: a file was copied or imported twice. As repeats they would count for more than was measured.</source>
        <translation>%1 contiennent les mêmes lignes au chiffre près : un fichier a été copié ou importé deux fois. Comme répétitions ils compteraient pour plus que mesuré.</translation>
    </message>
    <message>
        <source> and </source>
        <translation> et </translation>
    </message>
    <message>
        <source>Keep %1 only</source>
        <translation>Garder %1 seul</translation>
    </message>
    <message>
        <source>same rows as %1</source>
        <translation>mêmes lignes que %1</translation>
    </message>
    <message>
        <source>Keep all</source>
        <translation>Garder tous</translation>
    </message>
    <message>
        <source>Untitled day</source>
        <translation>Journée sans nom</translation>
    </message>
    <message>
        <source>never saved</source>
        <translation>jamais sauvée</translation>
    </message>
    <message>
        <source>this day went on without them</source>
        <translation>cette journée a continué sans eux</translation>
    </message>
    <message>
        <source>Edits were kept of “%1” (%2; %3, %4): %5.</source>
        <translation>Des changements de « %1 » ont été gardés (%2 ; %3, %4) : %5.</translation>
    </message>
    <message>
        <source>Open them as a day</source>
        <translation>Les ouvrir en journée</translation>
    </message>
    <message>
        <source>Open that day</source>
        <translation>Ouvrir cette journée</translation>
    </message>
    <message>
        <source>Dismiss</source>
        <translation>Jeter</translation>
    </message>
</context>
<context>
    <name>hillrun::DayStrip</name>
    <message>
        <source>Day strip: the pulls in order of time</source>
        <translation>Bande du jour : les passages dans l&apos;ordre du temps</translation>
    </message>
    <message>
        <source>No pulls in this day yet. Drop logger files here, or press Ctrl+I.</source>
        <translation>Aucun passage encore dans cette journée. Déposer des fichiers d&apos;enregistreur ici, ou Ctrl+I.</translation>
    </message>
    <message>
        <source>No day is open. Press Ctrl+O, or drop a day folder, a zip or logger files here.</source>
        <translation>Aucune journée n&apos;est ouverte. Ctrl+O, ou déposer ici un dossier, un zip ou des fichiers d&apos;enregistreur.</translation>
    </message>
    <message>
        <source>%1 min</source>
        <translation>%1 min</translation>
    </message>
    <message>
        <source>now</source>
        <translation>maintenant</translation>
    </message>
    <message>
        <source> · air factor %1–%2</source>
        <translation> · facteur d&apos;air %1–%2</translation>
    </message>
    <message>
        <source>%1, build %2</source>
        <translation>%1, montage %2</translation>
    </message>
    <message>
        <source>%1 against its set</source>
        <translation>%1 contre sa série</translation>
    </message>
    <message>
        <source>left out: %1</source>
        <translation>laissé : %1</translation>
    </message>
</context>
<context>
    <name>hillrun::DesktopDialogs</name>
    <message>
        <source>Open a day folder</source>
        <translation>Ouvrir un dossier de journée</translation>
    </message>
    <message>
        <source>Open a day package</source>
        <translation>Ouvrir un paquet de journée</translation>
    </message>
    <message>
        <source>Day package (*.zip day.json)</source>
        <translation>Paquet de journée (*.zip day.json)</translation>
    </message>
    <message>
        <source>Import logger files</source>
        <translation>Importer des fichiers d&apos;enregistreur</translation>
    </message>
    <message>
        <source>Logs and tables (*.csv *.txt *.log *.tsv *.dat *.asc *.prn *.xlsx *.ods *.json *.jsonl *.gz *.bz2 *.xz *.zst *.zip);;All files (*)</source>
        <translation>Enregistrements et tableaux (*.csv *.txt *.log *.tsv *.dat *.asc *.prn *.xlsx *.ods *.json *.jsonl *.gz *.bz2 *.xz *.zst *.zip);;Tous les fichiers (*)</translation>
    </message>
    <message>
        <source>A picture of a sheet</source>
        <translation>Image d&apos;une feuille</translation>
    </message>
    <message>
        <source>Pictures and PDF (*.png *.jpg *.jpeg *.pdf)</source>
        <translation>Images et PDF (*.png *.jpg *.jpeg *.pdf)</translation>
    </message>
    <message>
        <source>Set aside %1</source>
        <translation>Écarter %1</translation>
    </message>
    <message>
        <source>Why? The pull stays in the day; only the sums leave it out.</source>
        <translation>Pourquoi ? Le passage reste dans la journée ; seuls les calculs le laissent.</translation>
    </message>
    <message>
        <source>Attach photos, sound or sheets</source>
        <translation>Joindre photos, son ou feuilles</translation>
    </message>
    <message>
        <source>Sweep a setting</source>
        <translation>Un réglage par pas</translation>
    </message>
    <message>
        <source>Which setting or part is run in steps?</source>
        <translation>Quel réglage ou quelle pièce est passé par pas ?</translation>
    </message>
    <message>
        <source>Its values, apart from the base&apos;s, with commas between them</source>
        <translation>Ses valeurs, à part celle de la base, séparées de virgules</translation>
    </message>
    <message>
        <source>Edits that are not saved</source>
        <translation>Changements non sauvés</translation>
    </message>
    <message>
        <source>Save the edits of “%1”?</source>
        <translation>Sauver les changements de « %1 » ?</translation>
    </message>
    <message>
        <source>Save</source>
        <translation>Sauver</translation>
    </message>
    <message>
        <source>Leave them out</source>
        <translation>Les laisser</translation>
    </message>
    <message>
        <source>Go back</source>
        <translation>Revenir</translation>
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
        <translation>Le service de son du bureau ne répond pas.</translation>
    </message>
    <message>
        <source>The library of the sound server is missing: install libpulse0.</source>
        <translation>La bibliothèque du service de son manque : installez libpulse0.</translation>
    </message>
</context>
<context>
    <name>hillrun::DynoPanel</name>
    <message>
        <source>Gear and speed</source>
        <translation>Rapport et vitesse</translation>
    </message>
    <message>
        <source>engine speed</source>
        <translation>régime</translation>
    </message>
    <message>
        <source>road speed</source>
        <translation>vitesse</translation>
    </message>
    <message>
        <source>Inertia of rollers</source>
        <translation>Inertie de rouleaux</translation>
    </message>
    <message>
        <source>rollers</source>
        <translation>rouleaux</translation>
    </message>
    <message>
        <source>diameter</source>
        <translation>diamètre</translation>
    </message>
    <message>
        <source>length</source>
        <translation>longueur</translation>
    </message>
    <message>
        <source>wall</source>
        <translation>paroi</translation>
    </message>
    <message>
        <source>density</source>
        <translation>masse volumique</translation>
    </message>
    <message>
        <source>besides</source>
        <translation>en plus</translation>
    </message>
    <message>
        <source>Left open: solid</source>
        <translation>Laissé ouvert : plein</translation>
    </message>
    <message>
        <source>Shafts, couplings and the brake&apos;s rotor, at roller speed</source>
        <translation>Arbres, accouplements et rotor du frein, au régime des rouleaux</translation>
    </message>
    <message>
        <source>Give to the cell</source>
        <translation>Donner au banc</translation>
    </message>
    <message>
        <source>End plates are left out. A measured inertia goes before a calculated one.</source>
        <translation>Les fonds ne sont pas compris. Une inertie mesurée passe avant une inertie calculée.</translation>
    </message>
    <message>
        <source>Units</source>
        <translation>Unités</translation>
    </message>
    <message>
        <source>value</source>
        <translation>valeur</translation>
    </message>
    <message>
        <source>unit</source>
        <translation>unité</translation>
    </message>
    <message>
        <source>gear</source>
        <translation>vitesse</translation>
    </message>
    <message>
        <source>ratio</source>
        <translation>démult.</translation>
    </message>
    <message>
        <source>Gears, final drive and the tyres&apos; radius are on the article&apos;s card of Prepare.</source>
        <translation>Rapports, pont et rayon des pneus sont sur la fiche de l&apos;objet d&apos;essai dans Préparer.</translation>
    </message>
    <message>
        <source>Without slip: the tyre as it rolls, not as it stands.</source>
        <translation>Sans glissement : le pneu comme il roule, pas comme il se tient.</translation>
    </message>
    <message>
        <source>Diameter and length give the inertia.</source>
        <translation>Diamètre et longueur donnent l&apos;inertie.</translation>
    </message>
    <message>
        <source>%1&#xa0;kg·m²: as heavy to speed up as %2&#xa0;kg on the road</source>
        <translation>%1&#xa0;kg·m² : aussi lourd à accélérer que %2&#xa0;kg sur la route</translation>
    </message>
    <message>
        <source>Give the cell its rollers&apos; inertia</source>
        <translation>Donner au banc l&apos;inertie de ses rouleaux</translation>
    </message>
</context>
<context>
    <name>hillrun::EarlierPane</name>
    <message>
        <source>Build of another day</source>
        <translation>Montage d&apos;un autre jour</translation>
    </message>
    <message>
        <source>Build of today</source>
        <translation>Montage du jour</translation>
    </message>
    <message>
        <source>No build of another day stands beside today&apos;s. Choose one in the logbook.</source>
        <translation>Aucun montage d&apos;un autre jour n&apos;est à côté de ceux du jour. Choisissez-en un dans le carnet.</translation>
    </message>
    <message>
        <source>Looking into the logbook …</source>
        <translation>On regarde dans le carnet …</translation>
    </message>
    <message>
        <source>These two are the same build, or one has no pulls in use.</source>
        <translation>Ces deux sont le même montage, ou l&apos;un n&apos;a pas de passage utilisé.</translation>
    </message>
    <message>
        <source>rpm</source>
        <translation>rpm</translation>
    </message>
    <message>
        <source>Difference, %</source>
        <translation>Différence, %</translation>
    </message>
    <message>
        <source>from, %</source>
        <translation>de, %</translation>
    </message>
    <message>
        <source>to, %</source>
        <translation>à, %</translation>
    </message>
</context>
<context>
    <name>hillrun::FieldLadder</name>
    <message>
        <source>%1 builds</source>
        <translation>%1 montages</translation>
    </message>
    <message>
        <source>Ribbon ladder: each build against the base</source>
        <translation>Échelle de rubans : chaque montage contre la base</translation>
    </message>
    <message>
        <source>leads</source>
        <translation>mène</translation>
    </message>
    <message>
        <source>over the base, for the use</source>
        <translation>sur la base, pour l&apos;usage</translation>
    </message>
    <message>
        <source>%1 leads from %2 to %3 rpm</source>
        <translation>%1 mène de %2 à %3 rpm</translation>
    </message>
    <message>
        <source>%1 may lead from %2 to %3 rpm</source>
        <translation>%1 peut mener de %2 à %3 rpm</translation>
    </message>
    <message>
        <source>nothing to show</source>
        <translation>rien à montrer</translation>
    </message>
    <message>
        <source>%1: %2, %3</source>
        <translation>%1 : %2, %3</translation>
    </message>
</context>
<context>
    <name>hillrun::FieldPane</name>
    <message>
        <source>drag across the curves: what the builds are wanted for</source>
        <translation>tirer à travers les courbes : à quoi les montages doivent servir</translation>
    </message>
    <message>
        <source>Take %1 as the use</source>
        <translation>Prendre %1 comme usage</translation>
    </message>
    <message>
        <source>Take the whole range as the use</source>
        <translation>Prendre toute la plage comme usage</translation>
    </message>
    <message>
        <source>Build</source>
        <translation>Montage</translation>
    </message>
    <message>
        <source>Over the base</source>
        <translation>Sur la base</translation>
    </message>
    <message>
        <source>May be best</source>
        <translation>Peut être le meilleur</translation>
    </message>
</context>
<context>
    <name>hillrun::FindingList</name>
    <message>
        <source>What was found on this pull</source>
        <translation>Ce qui a été trouvé sur ce passage</translation>
    </message>
    <message>
        <source>Show</source>
        <translation>Montrer</translation>
    </message>
    <message>
        <source>Put the cursor there</source>
        <translation>Y mettre le curseur</translation>
    </message>
    <message>
        <source>Trim to %1</source>
        <translation>Couper à %1</translation>
    </message>
    <message>
        <source>Leave that stretch out; Ctrl+Z takes it back</source>
        <translation>Laisser cette portion ; Ctrl+Z la reprend</translation>
    </message>
    <message>
        <source>Yes: %1</source>
        <translation>Oui : %1</translation>
    </message>
    <message>
        <source>Multiply its torque by %1; the recorded rows stay as they are</source>
        <translation>Multiplier son couple par %1 ; les lignes enregistrées restent</translation>
    </message>
    <message>
        <source>Set aside</source>
        <translation>Écarter</translation>
    </message>
    <message>
        <source>Leave the pull out with this reason</source>
        <translation>Laisser le passage pour cette raison</translation>
    </message>
</context>
<context>
    <name>hillrun::FoundDays</name>
    <message>
        <source>being read</source>
        <translation>en cours de lecture</translation>
    </message>
</context>
<context>
    <name>hillrun::GainRibbon</name>
    <message>
        <source>Gain ribbon</source>
        <translation>Ruban des gains</translation>
    </message>
    <message>
        <source>Where the change gives, where it costs, and where nobody can tell yet</source>
        <translation>Où le changement apporte, où il coûte, et où nul ne peut encore le dire</translation>
    </message>
    <message>
        <source>gain</source>
        <translation>gain</translation>
    </message>
    <message>
        <source>loss</source>
        <translation>perte</translation>
    </message>
    <message>
        <source>cannot tell</source>
        <translation>indécis</translation>
    </message>
    <message>
        <source>%1 from %2 to %3 rpm</source>
        <translation>%1 de %2 à %3 rpm</translation>
    </message>
    <message>
        <source>nothing to show</source>
        <translation>rien à montrer</translation>
    </message>
    <message>
        <source>more</source>
        <translation>plus</translation>
    </message>
    <message>
        <source>less</source>
        <translation>moins</translation>
    </message>
</context>
<context>
    <name>hillrun::GateList</name>
    <message>
        <source>Gates</source>
        <translation>Conditions</translation>
    </message>
    <message>
        <source>met</source>
        <translation>remplie</translation>
    </message>
    <message>
        <source>waited for</source>
        <translation>attendue</translation>
    </message>
    <message>
        <source>not known</source>
        <translation>inconnue</translation>
    </message>
    <message>
        <source>%1 %2, wanted %3: %4</source>
        <translation>%1 %2, voulu %3 : %4</translation>
    </message>
</context>
<context>
    <name>hillrun::GivenRow</name>
    <message>
        <source>Corrected to</source>
        <translation>Corrigée selon</translation>
    </message>
    <message>
        <source>What the curve was corrected to</source>
        <translation>Selon quoi la courbe a été corrigée</translation>
    </message>
    <message>
        <source>not known</source>
        <translation>inconnue</translation>
    </message>
    <message>
        <source>smoothed over</source>
        <translation>lissée sur</translation>
    </message>
    <message>
        <source>smoothing of the curve</source>
        <translation>lissage de la courbe</translation>
    </message>
    <message>
        <source>measured at</source>
        <translation>mesurée à</translation>
    </message>
    <message>
        <source>Where the curve was measured</source>
        <translation>Où la courbe a été mesurée</translation>
    </message>
    <message>
        <source>the same as today</source>
        <translation>comme aujourd&apos;hui</translation>
    </message>
    <message>
        <source>crank</source>
        <translation>vilebrequin</translation>
    </message>
    <message>
        <source>hub</source>
        <translation>moyeu</translation>
    </message>
    <message>
        <source>wheel</source>
        <translation>roue</translation>
    </message>
    <message>
        <source>A curve has no repeats: it proves nothing.</source>
        <translation>Une courbe n&apos;a pas de répétitions : elle ne prouve rien.</translation>
    </message>
</context>
<context>
    <name>hillrun::GuardedApplication</name>
    <message>
        <source>That did not work; the day is as it was</source>
        <translation>Cela n&apos;a pas marché ; la journée est comme avant</translation>
    </message>
</context>
<context>
    <name>hillrun::GuideWindow</name>
    <message>
        <source>What the guide says</source>
        <translation>Ce que dit le guide</translation>
    </message>
    <message>
        <source>Guide</source>
        <translation>Guide</translation>
    </message>
    <message>
        <source>Search the guide</source>
        <translation>Chercher dans le guide</translation>
    </message>
    <message>
        <source>Topics</source>
        <translation>Sujets</translation>
    </message>
    <message>
        <source>Nothing is said of that.</source>
        <translation>Il n’en est pas question.</translation>
    </message>
</context>
<context>
    <name>hillrun::ImportDialog</name>
    <message>
        <source>Import pulls</source>
        <translation>Importer des passages</translation>
    </message>
    <message>
        <source>Reading… %1 %</source>
        <translation>Lecture … %1 %</translation>
    </message>
    <message>
        <source>This file holds</source>
        <translation>Ce fichier contient</translation>
    </message>
    <message>
        <source>What the file holds</source>
        <translation>Ce que contient le fichier</translation>
    </message>
    <message>
        <source>pulls</source>
        <translation>passages</translation>
    </message>
    <message>
        <source>a curve by engine speed</source>
        <translation>une courbe selon le régime</translation>
    </message>
    <message>
        <source>a log beside pulls</source>
        <translation>un enregistrement à côté de passages</translation>
    </message>
    <message>
        <source>Weather of these pulls:</source>
        <translation>Météo de ces passages :</translation>
    </message>
    <message>
        <source>air temperature</source>
        <translation>température de l&apos;air</translation>
    </message>
    <message>
        <source>air pressure</source>
        <translation>pression de l&apos;air</translation>
    </message>
    <message>
        <source>humidity</source>
        <translation>humidité</translation>
    </message>
    <message>
        <source>station pressure at the intake, not a forecast&apos;s sea-level figure</source>
        <translation>pression de station à l&apos;admission, pas une valeur au niveau de la mer</translation>
    </message>
    <message>
        <source>Use a kept mapping:</source>
        <translation>Employer une correspondance gardée :</translation>
    </message>
    <message>
        <source>none</source>
        <translation>aucune</translation>
    </message>
    <message>
        <source>name for this mapping</source>
        <translation>nom de cette correspondance</translation>
    </message>
    <message>
        <source>Keep this mapping</source>
        <translation>Garder la correspondance</translation>
    </message>
    <message>
        <source>Cancel</source>
        <translation>Abandonner</translation>
    </message>
    <message>
        <source>Import</source>
        <translation>Importer</translation>
    </message>
    <message>
        <source>%1 cannot be read yet. Say at the left how it is written, or what its columns mean.</source>
        <translation>%1 ne peut encore être lu. Dire à gauche comment il est écrit, ou ce que veulent dire ses colonnes.</translation>
    </message>
    <message>
        <source>%1 in %2. Check what was understood.</source>
        <translation>%1 dans %2. Vérifier ce qui a été compris.</translation>
    </message>
    <message>
        <source>Read with the mapping “%1”.</source>
        <translation>Lu avec la correspondance « %1 ».</translation>
    </message>
    <message>
        <source>Reading…</source>
        <translation>Lecture…</translation>
    </message>
    <message>
        <source>Kept</source>
        <translation>Gardé</translation>
    </message>
    <message>
        <source>Fill in the weather, or take its tick away.</source>
        <translation>Remplir la météo, ou ôter sa coche.</translation>
    </message>
    <message>
        <source>Say which build %1 belongs to.</source>
        <translation>Dire à quel montage %1 appartient.</translation>
    </message>
    <message>
        <source>No pull is ticked.</source>
        <translation>Aucun passage n&apos;est coché.</translation>
    </message>
    <message>
        <source>Lay onto pulls …</source>
        <translation>Poser sur des passages …</translation>
    </message>
</context>
<context>
    <name>hillrun::ImportReader</name>
    <message>
        <source>%1 needs more memory than there is.</source>
        <translation>%1 demande plus de mémoire qu&apos;il n&apos;y en a.</translation>
    </message>
</context>
<context>
    <name>hillrun::KeepRow</name>
    <message>
        <source>Date of the check</source>
        <translation>Date du contrôle</translation>
    </message>
    <message>
        <source>today</source>
        <translation>aujourd&apos;hui</translation>
    </message>
    <message>
        <source>Keep</source>
        <translation>Garder</translation>
    </message>
    <message>
        <source>Keep the check with the day&apos;s cell, dated</source>
        <translation>Garder le contrôle, daté, avec le banc de la journée</translation>
    </message>
    <message>
        <source>Clear</source>
        <translation>Vider</translation>
    </message>
    <message>
        <source>A date such as 2026-05-16</source>
        <translation>Une date comme 2026-05-16</translation>
    </message>
</context>
<context>
    <name>hillrun::KeySheet</name>
    <message>
        <source>Keys</source>
        <translation>Touches</translation>
    </message>
    <message>
        <source>Keys and what they do</source>
        <translation>Les touches et ce qu&apos;elles font</translation>
    </message>
    <message>
        <source>keys</source>
        <translation>touches</translation>
    </message>
    <message>
        <source>what they do</source>
        <translation>ce qu&apos;elles font</translation>
    </message>
</context>
<context>
    <name>hillrun::LayLogDialog</name>
    <message>
        <source>not of this pull</source>
        <translation>pas de ce passage</translation>
    </message>
    <message>
        <source>fits %1 better</source>
        <translation>va mieux à %1</translation>
    </message>
    <message>
        <source>too short</source>
        <translation>trop court</translation>
    </message>
    <message>
        <source>a speed hardly moves</source>
        <translation>un régime bouge à peine</translation>
    </message>
    <message>
        <source>fits in two places</source>
        <translation>va à deux endroits</translation>
    </message>
    <message>
        <source>%1, by hand</source>
        <translation>%1, à la main</translation>
    </message>
    <message>
        <source>%1, but %2 fits alike</source>
        <translation>%1, mais %2 va aussi</translation>
    </message>
    <message>
        <source>%1, but others fit alike</source>
        <translation>%1, mais d&apos;autres vont aussi</translation>
    </message>
    <message>
        <source>%1, apart by %2 rpm</source>
        <translation>%1, écart %2 rpm</translation>
    </message>
    <message>
        <source>Lay a log onto pulls</source>
        <translation>Poser un enregistrement sur des passages</translation>
    </message>
    <message>
        <source>pull</source>
        <translation>passage</translation>
    </message>
    <message>
        <source>build</source>
        <translation>montage</translation>
    </message>
    <message>
        <source>how the log lies on it</source>
        <translation>comment l&apos;enregistrement s&apos;y pose</translation>
    </message>
    <message>
        <source>Pulls and how the log lies on each</source>
        <translation>Passages, et comment l&apos;enregistrement se pose sur chacun</translation>
    </message>
    <message>
        <source>Cancel</source>
        <translation>Abandonner</translation>
    </message>
    <message>
        <source>Lay it on</source>
        <translation>Le poser</translation>
    </message>
    <message>
        <source>The log&apos;s clock at the pull&apos;s zero:</source>
        <translation>Horloge de l&apos;enregistrement au zéro du passage :</translation>
    </message>
    <message>
        <source>what the log&apos;s clock shows at the pull&apos;s zero</source>
        <translation>ce que montre l&apos;horloge de l&apos;enregistrement au zéro du passage</translation>
    </message>
    <message>
        <source>Find it again</source>
        <translation>Le retrouver</translation>
    </message>
    <message>
        <source>Trying %1 on %2 …</source>
        <translation>Essai de %1 sur %2 …</translation>
    </message>
    <message>
        <source>%1 fits %2. Its channels are added there.</source>
        <translation>%1 va à %2. Ses canaux y sont ajoutés.</translation>
    </message>
    <message>
        <source>%1 fits %2 alike: tick the one it was recorded with.</source>
        <translation>%1 va aussi bien à %2 : cocher celui avec lequel il a été fait.</translation>
    </message>
    <message>
        <source>%1 fits no pull of this day.</source>
        <translation>%1 ne va à aucun passage de cette journée.</translation>
    </message>
    <message>
        <source>%1 s together; the speeds are apart by %2 rpm where %3 would be usual.</source>
        <translation>%1 s ensemble ; les régimes s&apos;écartent de %2 rpm où %3 serait usuel.</translation>
    </message>
    <message>
        <source>The log&apos;s clock runs %1 % against the pull&apos;s.</source>
        <translation>L&apos;horloge de l&apos;enregistrement va à %1 % de celle du passage.</translation>
    </message>
    <message>
        <source>Adds %1.</source>
        <translation>Ajoute %1.</translation>
    </message>
</context>
<context>
    <name>hillrun::LimitsDialog</name>
    <message>
        <source>Limits while a pull runs</source>
        <translation>Limites pendant un passage</translation>
    </message>
    <message>
        <source>When one is passed, the window says what it is and asks to close the throttle. The usual figures are common practice, not your engine&apos;s: put its maker&apos;s in their place. An empty field is not watched.</source>
        <translation>Quand l’une est franchie, la fenêtre dit laquelle et demande de fermer les gaz. Les valeurs usuelles sont de pratique courante, pas celles de ce moteur : mettez celles du constructeur. Un champ vide n’est pas surveillé.</translation>
    </message>
    <message>
        <source>This is no safety device: it can be late, it can miss, and it never touches the engine or the brake. Keep your own watch, alarms and stops.</source>
        <translation>Ceci n’est pas un dispositif de sécurité : il peut être en retard ou manquer, et ne touche jamais au moteur ni au frein. Gardez votre surveillance, vos alarmes et vos arrêts.</translation>
    </message>
    <message>
        <source>Usual ones</source>
        <translation>Usuelles</translation>
    </message>
    <message>
        <source>Use these</source>
        <translation>Employer celles-ci</translation>
    </message>
    <message>
        <source>Go back</source>
        <translation>Revenir</translation>
    </message>
    <message>
        <source>%1 %2</source>
        <translation>%1 %2</translation>
    </message>
    <message>
        <source>above</source>
        <translation>au-dessus de</translation>
    </message>
    <message>
        <source>below</source>
        <translation>au-dessous de</translation>
    </message>
    <message>
        <source>usual: %1</source>
        <translation>usuel : %1</translation>
    </message>
</context>
<context>
    <name>hillrun::LinksDialog</name>
    <message>
        <source>Connections</source>
        <translation>Liaisons</translation>
    </message>
    <message>
        <source>Add</source>
        <translation>Ajouter</translation>
    </message>
    <message>
        <source>Remove</source>
        <translation>Enlever</translation>
    </message>
    <message>
        <source>Use these</source>
        <translation>Employer celles-ci</translation>
    </message>
    <message>
        <source>Go back</source>
        <translation>Revenir</translation>
    </message>
    <message>
        <source>Cell</source>
        <translation>Banc</translation>
    </message>
    <message>
        <source>Telemetry over TCP</source>
        <translation>Télémesure par TCP</translation>
    </message>
    <message>
        <source>Telemetry over a serial port</source>
        <translation>Télémesure par ligne série</translation>
    </message>
    <message>
        <source>Weather, NMEA over TCP</source>
        <translation>Météo, NMEA par TCP</translation>
    </message>
    <message>
        <source>Weather, NMEA over a serial port</source>
        <translation>Météo, NMEA par ligne série</translation>
    </message>
    <message>
        <source>Registers, Modbus TCP</source>
        <translation>Registres, Modbus TCP</translation>
    </message>
    <message>
        <source>Port</source>
        <translation>Port</translation>
    </message>
    <message>
        <source>Speed of the line</source>
        <translation>Vitesse de la ligne</translation>
    </message>
    <message>
        <source>register map; empty: the simulated cell&apos;s</source>
        <translation>liste des registres ; vide : celle du banc simulé</translation>
    </message>
    <message>
        <source>in use</source>
        <translation>employée</translation>
    </message>
    <message>
        <source>Test</source>
        <translation>Essayer</translation>
    </message>
    <message>
        <source>Listens for a few seconds and says what came</source>
        <translation>Écoute quelques secondes et dit ce qui est venu</translation>
    </message>
    <message>
        <source>Name</source>
        <translation>Nom</translation>
    </message>
    <message>
        <source>Kind</source>
        <translation>Genre</translation>
    </message>
    <message>
        <source>Host</source>
        <translation>Hôte</translation>
    </message>
    <message>
        <source>Serial port</source>
        <translation>Port série</translation>
    </message>
    <message>
        <source>Line speed</source>
        <translation>Débit</translation>
    </message>
    <message>
        <source>Map</source>
        <translation>Liste</translation>
    </message>
    <message>
        <source>%1 (not in use)</source>
        <translation>%1 (non employée)</translation>
    </message>
    <message>
        <source>Add the cell&apos;s telemetry and the weather station.</source>
        <translation>Ajouter la télémesure du banc et la station météo.</translation>
    </message>
    <message>
        <source>The address is not complete.</source>
        <translation>L&apos;adresse n&apos;est pas complète.</translation>
    </message>
    <message>
        <source>Listening …</source>
        <translation>Écoute …</translation>
    </message>
</context>
<context>
    <name>hillrun::LoadCellPanel</name>
    <message>
        <source>Masses on the arm</source>
        <translation>Masses sur le bras</translation>
    </message>
    <message>
        <source>arm</source>
        <translation>bras</translation>
    </message>
    <message>
        <source>From the middle of the shaft to where the mass hangs, level</source>
        <translation>Du milieu de l&apos;arbre jusqu&apos;où pend la masse, à l&apos;horizontale</translation>
    </message>
    <message>
        <source>arm known within</source>
        <translation>bras connu à</translation>
    </message>
    <message>
        <source>95&#xa0;%</source>
        <translation>95&#xa0;%</translation>
    </message>
    <message>
        <source>masses known within</source>
        <translation>masses connues à</translation>
    </message>
    <message>
        <source>95&#xa0;%, of all masses alike</source>
        <translation>95&#xa0;%, de toutes les masses pareillement</translation>
    </message>
    <message>
        <source>gravity</source>
        <translation>pesanteur</translation>
    </message>
    <message>
        <source>Of the place; left open: 9.80665</source>
        <translation>Du lieu ; laissé ouvert : 9,80665</translation>
    </message>
    <message>
        <source>As they are hung and taken off: begin and end with nothing on the arm (0). Nobody under the load; your cell&apos;s own rules go first.</source>
        <translation>Comme elles sont accrochées et retirées : commencer et finir sans masse (0). Personne sous la charge ; les règles de votre banc passent d&apos;abord.</translation>
    </message>
    <message>
        <source>hung</source>
        <translation>accroché</translation>
    </message>
    <message>
        <source>shown</source>
        <translation>indiqué</translation>
    </message>
    <message>
        <source>Mass %1</source>
        <translation>Masse %1</translation>
    </message>
    <message>
        <source>Torque shown with mass %1</source>
        <translation>Couple indiqué avec la masse %1</translation>
    </message>
    <message>
        <source>What the load cell makes of them</source>
        <translation>Ce que le capteur en fait</translation>
    </message>
    <message>
        <source>Type the arm and at least two masses with what the dyno shows.</source>
        <translation>Saisissez le bras et au moins deux masses avec ce que le banc indique.</translation>
    </message>
    <message>
        <source>Keep the check of the load cell</source>
        <translation>Garder le contrôle du capteur de force</translation>
    </message>
    <message>
        <source>Take the check of the load cell away</source>
        <translation>Retirer le contrôle du capteur de force</translation>
    </message>
</context>
<context>
    <name>hillrun::LogPicture</name>
    <message>
        <source>Engine speed of the pull and of the log</source>
        <translation>Régime du passage et de l&apos;enregistrement</translation>
    </message>
    <message>
        <source>Drag to move the log along the pull</source>
        <translation>Tirer pour déplacer l&apos;enregistrement le long du passage</translation>
    </message>
    <message>
        <source>the log lies %1 s later than the pull</source>
        <translation>l&apos;enregistrement est %1 s après le passage</translation>
    </message>
    <message>
        <source>the pull alone, no log on it yet</source>
        <translation>le passage seul, pas encore d&apos;enregistrement dessus</translation>
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
        <translation>passage</translation>
    </message>
    <message>
        <source>log</source>
        <translation>enregistrement</translation>
    </message>
</context>
<context>
    <name>hillrun::LogbookPage</name>
    <message>
        <source>Take back forgetting</source>
        <translation>Annuler l’oubli</translation>
    </message>
    <message>
        <source>Search all days</source>
        <translation>Chercher dans toutes les journées</translation>
    </message>
    <message>
        <source>Beginnings of words: article, part, setting, operator, date; or over 70 kW</source>
        <translation>Débuts de mots : objet d’essai, pièce, réglage, opérateur, date ; ou plus de 70 kW</translation>
    </message>
    <message>
        <source>Search: a part, an article, a name, 2026-05, over 70 kW</source>
        <translation>Chercher : une pièce, un objet d’essai, un nom, 2026-05, plus de 70 kW</translation>
    </message>
    <message>
        <source>Order of the days</source>
        <translation>Ordre des journées</translation>
    </message>
    <message>
        <source>newest first</source>
        <translation>les plus récentes d’abord</translation>
    </message>
    <message>
        <source>oldest first</source>
        <translation>les plus anciennes d’abord</translation>
    </message>
    <message>
        <source>by name</source>
        <translation>par nom</translation>
    </message>
    <message>
        <source>by article</source>
        <translation>par objet d’essai</translation>
    </message>
    <message>
        <source>most power first</source>
        <translation>la plus forte puissance d’abord</translation>
    </message>
    <message>
        <source>Days</source>
        <translation>Journées</translation>
    </message>
    <message>
        <source>Enter opens the day, Delete forgets it: its folder stays</source>
        <translation>Entrée ouvre la journée, Suppr l’oublie : son dossier reste</translation>
    </message>
    <message>
        <source>All days: %1</source>
        <translation>Toutes les journées : %1</translation>
    </message>
    <message>
        <source>Found: %1</source>
        <translation>Trouvées : %1</translation>
    </message>
    <message>
        <source>No day fits. Fewer or shorter words find more.</source>
        <translation>Aucune journée ne correspond. Moins de mots, ou plus courts, en trouvent davantage.</translation>
    </message>
    <message>
        <source>The logbook is empty. Days enter it when they are saved.</source>
        <translation>Le carnet est vide. Les journées y entrent quand on les enregistre.</translation>
    </message>
    <message>
        <source>The day is not where it was</source>
        <translation>La journée n’est plus où elle était</translation>
    </message>
    <message>
        <source>%1 on %2 is not there. If it was moved, open it from its new place and save it.</source>
        <translation>%1 sur %2 n’est pas là. Si elle a été déplacée, ouvrez-la depuis son nouvel endroit et enregistrez-la.</translation>
    </message>
    <message>
        <source>All days, and two beside each other</source>
        <translation>Toutes les journées, et deux côte à côte</translation>
    </message>
    <message>
        <source>Cell</source>
        <translation>Banc</translation>
    </message>
    <message>
        <source>What the cell has learned from its days</source>
        <translation>Ce que le banc a appris de ses journées</translation>
    </message>
    <message>
        <source>Search the days</source>
        <translation>Chercher dans les journées</translation>
    </message>
    <message>
        <source>Type what stands in a day</source>
        <translation>Tapez ce qui figure dans une journée</translation>
    </message>
    <message>
        <source>Forget the day</source>
        <translation>Oublier la journée</translation>
    </message>
    <message>
        <source>Takes the chosen days out of the logbook; their folders stay</source>
        <translation>Retire les journées choisies du carnet ; leurs dossiers restent</translation>
    </message>
    <message>
        <source>Logbook</source>
        <translation>Carnet</translation>
    </message>
    <message>
        <source>All days, and what the cell has learned</source>
        <translation>Toutes les journées, et ce que le banc a appris</translation>
    </message>
    <message>
        <source>Clear the search</source>
        <translation>Vider la recherche</translation>
    </message>
    <message>
        <source>That is the open day</source>
        <translation>C&apos;est la journée ouverte</translation>
    </message>
    <message>
        <source>Its own builds stand beside each other already. Choose another day.</source>
        <translation>Ses propres montages sont déjà côte à côte. Choisissez une autre journée.</translation>
    </message>
    <message>
        <source>Choose a day and its build, then put it beside today&apos;s</source>
        <translation>Choisissez une journée et son montage, puis placez-le à côté du jour</translation>
    </message>
    <message>
        <source>Beside today&apos;s</source>
        <translation>À côté du jour</translation>
    </message>
    <message>
        <source>Puts the chosen build beside those of the open day</source>
        <translation>Place le montage choisi à côté de ceux de la journée ouverte</translation>
    </message>
    <message>
        <source>Build of another day …</source>
        <translation>Montage d&apos;un autre jour …</translation>
    </message>
    <message>
        <source>Looks in the logbook for a build to put beside today&apos;s</source>
        <translation>Cherche dans le carnet un montage à placer à côté de ceux du jour</translation>
    </message>
    <message>
        <source>Too many days chosen</source>
        <translation>Trop de journées choisies</translation>
    </message>
    <message>
        <source>Only days that have been seen in the list can be forgotten. Choose fewer.</source>
        <translation>Seules des journées vues dans la liste peuvent être oubliées. Choisissez-en moins.</translation>
    </message>
    <message>
        <source>Takes the days that were forgotten last into the logbook again</source>
        <translation>Remet dans le carnet les journées oubliées en dernier</translation>
    </message>
    <message>
        <source>To the days that were found</source>
        <translation>Aux journées trouvées</translation>
    </message>
    <message>
        <source>From the search into the list</source>
        <translation>De la recherche à la liste</translation>
    </message>
</context>
<context>
    <name>hillrun::MainWindow</name>
    <message>
        <source>Untitled day</source>
        <translation>Journée sans nom</translation>
    </message>
    <message>
        <source> · read only</source>
        <translation> · lecture seule</translation>
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
        <translation>Annuler</translation>
    </message>
    <message>
        <source>Undo: %1</source>
        <translation>Annuler : %1</translation>
    </message>
    <message>
        <source>Redo</source>
        <translation>Refaire</translation>
    </message>
    <message>
        <source>Redo: %1</source>
        <translation>Refaire : %1</translation>
    </message>
    <message>
        <source>New day</source>
        <translation>Nouvelle journée</translation>
    </message>
    <message>
        <source>Begin a day and plan its pulls</source>
        <translation>Commence une journée et planifie ses passages</translation>
    </message>
    <message>
        <source>Open a day folder …</source>
        <translation>Ouvrir un dossier de journée …</translation>
    </message>
    <message>
        <source>Open a day folder</source>
        <translation>Ouvrir un dossier de journée</translation>
    </message>
    <message>
        <source>Open a day package …</source>
        <translation>Ouvrir un paquet de journée …</translation>
    </message>
    <message>
        <source>Open a zipped day</source>
        <translation>Ouvre une journée emballée</translation>
    </message>
    <message>
        <source>Import logger files …</source>
        <translation>Importer des fichiers d&apos;enregistreur …</translation>
    </message>
    <message>
        <source>Add pulls from other loggers&apos; text files</source>
        <translation>Ajoute des passages des fichiers texte d&apos;autres enregistreurs</translation>
    </message>
    <message>
        <source>Trace curves from a picture …</source>
        <translation>Relever des courbes sur une image …</translation>
    </message>
    <message>
        <source>Read curves off a picture or a PDF page of a sheet</source>
        <translation>Lit des courbes sur une image ou une page PDF d&apos;une feuille</translation>
    </message>
    <message>
        <source>Type a curve …</source>
        <translation>Saisir une courbe …</translation>
    </message>
    <message>
        <source>Peaks or points of a curve that exists on paper only</source>
        <translation>Maxima ou points d&apos;une courbe qui n&apos;existe que sur papier</translation>
    </message>
    <message>
        <source>Save</source>
        <translation>Sauver</translation>
    </message>
    <message>
        <source>Write the edits into the day</source>
        <translation>Écrit les changements dans la journée</translation>
    </message>
    <message>
        <source>Save as …</source>
        <translation>Sauver sous …</translation>
    </message>
    <message>
        <source>Write the day to another folder or package</source>
        <translation>Écrit la journée dans un autre dossier ou paquet</translation>
    </message>
    <message>
        <source>Day package …</source>
        <translation>Paquet de la journée …</translation>
    </message>
    <message>
        <source>The day with its raw data as one zip</source>
        <translation>La journée avec ses données brutes en un zip</translation>
    </message>
    <message>
        <source>Write a day package</source>
        <translation>Écrire un paquet de journée</translation>
    </message>
    <message>
        <source>Day package (*.zip)</source>
        <translation>Paquet de journée (*.zip)</translation>
    </message>
    <message>
        <source>What was kept …</source>
        <translation>Ce qui a été gardé …</translation>
    </message>
    <message>
        <source>Edits and recordings that are in no day yet</source>
        <translation>Changements et enregistrements qui ne sont encore dans aucune journée</translation>
    </message>
    <message>
        <source>Close the day</source>
        <translation>Fermer la journée</translation>
    </message>
    <message>
        <source>Quit</source>
        <translation>Quitter</translation>
    </message>
    <message>
        <source>Power or torque</source>
        <translation>Puissance ou couple</translation>
    </message>
    <message>
        <source>Switch the curves between power and torque</source>
        <translation>Passe les courbes de la puissance au couple</translation>
    </message>
    <message>
        <source>Light or dark</source>
        <translation>Clair ou sombre</translation>
    </message>
    <message>
        <source>Paper by day, dark in the cell at night</source>
        <translation>Papier le jour, sombre la nuit au banc</translation>
    </message>
    <message>
        <source>Search commands</source>
        <translation>Chercher des commandes</translation>
    </message>
    <message>
        <source>Full screen</source>
        <translation>Plein écran</translation>
    </message>
    <message>
        <source>Next page</source>
        <translation>Page suivante</translation>
    </message>
    <message>
        <source>Page before</source>
        <translation>Page d&apos;avant</translation>
    </message>
    <message>
        <source>Keys</source>
        <translation>Touches</translation>
    </message>
    <message>
        <source>Every key and what it does</source>
        <translation>Chaque touche et ce qu&apos;elle fait</translation>
    </message>
    <message>
        <source>About Hill Run</source>
        <translation>À propos de Hill Run</translation>
    </message>
    <message>
        <source>Version and licences</source>
        <translation>Version et licences</translation>
    </message>
    <message>
        <source>Settings …</source>
        <translation>Réglages …</translation>
    </message>
    <message>
        <source>Colours, units, paper, folders</source>
        <translation>Couleurs, unités, papier, dossiers</translation>
    </message>
    <message>
        <source>Two-minute tour</source>
        <translation>Visite en deux minutes</translation>
    </message>
    <message>
        <source>A demo day, and what is where</source>
        <translation>Une journée d&apos;exemple, et où est quoi</translation>
    </message>
    <message>
        <source>Copy picture</source>
        <translation>Copier l&apos;image</translation>
    </message>
    <message>
        <source>The boards as a picture, to paste elsewhere</source>
        <translation>Les tableaux en image, à coller ailleurs</translation>
    </message>
    <message>
        <source>Copy table</source>
        <translation>Copier le tableau</translation>
    </message>
    <message>
        <source>The numbers as a table, to paste elsewhere</source>
        <translation>Les nombres en tableau, à coller ailleurs</translation>
    </message>
    <message>
        <source>Recent days</source>
        <translation>Journées récentes</translation>
    </message>
    <message>
        <source>On a board: move the cursor</source>
        <translation>Sur un tableau : déplacer le curseur</translation>
    </message>
    <message>
        <source>On the day strip: the pull before or after</source>
        <translation>Sur la frise du jour : le passage précédent ou suivant</translation>
    </message>
    <message>
        <source>In a number: one more or less</source>
        <translation>Dans un nombre : un de plus ou de moins</translation>
    </message>
    <message>
        <source>In the picture of a file: split, join, trim its pulls</source>
        <translation>Dans l&apos;image d&apos;un fichier : partager, joindre, couper ses passages</translation>
    </message>
    <message>
        <source>In a number: take the typing back. Elsewhere: close the window on top</source>
        <translation>Dans un nombre : reprendre la saisie. Ailleurs : fermer la fenêtre du dessus</translation>
    </message>
    <message>
        <source>Guide</source>
        <translation>Guide</translation>
    </message>
    <message>
        <source>What this page is for, and everything else</source>
        <translation>À quoi sert cette page, et tout le reste</translation>
    </message>
    <message>
        <source>The guide is not there</source>
        <translation>Le guide n’est pas là</translation>
    </message>
    <message>
        <source>It is installed with the program, under share/hillrun/guide.</source>
        <translation>Il est installé avec le programme, sous share/hillrun/guide.</translation>
    </message>
    <message>
        <source>Change the use</source>
        <translation>Changer l&apos;usage</translation>
    </message>
    <message>
        <source>Use: %1 rpm …</source>
        <translation>Usage : %1 rpm …</translation>
    </message>
    <message>
        <source>Use: whole range …</source>
        <translation>Usage : toute la plage …</translation>
    </message>
    <message>
        <source>What the builds are wanted for …</source>
        <translation>À quoi servent les montages …</translation>
    </message>
    <message>
        <source>The speeds that count: a range, one speed held, a gear, or weights</source>
        <translation>Les régimes qui comptent : une plage, un régime tenu, un rapport ou des poids</translation>
    </message>
    <message>
        <source>The logbook has this day from elsewhere, with other contents: %1. It stays as it is there.</source>
        <translation>Le carnet a cette journée venue d’ailleurs, avec un autre contenu : %1. Elle y reste telle quelle.</translation>
    </message>
    <message>
        <source>Understood</source>
        <translation>Compris</translation>
    </message>
    <message>
        <source>The day enters the logbook later: %1</source>
        <translation>La journée entrera au carnet plus tard : %1</translation>
    </message>
</context>
<context>
    <name>hillrun::NumberField</name>
    <message>
        <source>not taken: a number from %1 to %2 is wanted here</source>
        <translation>pas pris : un nombre de %1 à %2 est attendu ici</translation>
    </message>
</context>
<context>
    <name>hillrun::OrderPanel</name>
    <message>
        <source>Order of the pulls</source>
        <translation>Ordre des passages</translation>
    </message>
    <message>
        <source>Design</source>
        <translation>Plan</translation>
    </message>
    <message>
        <source>Makes the order of the pulls anew</source>
        <translation>Refait l&apos;ordre des passages</translation>
    </message>
    <message>
        <source>by hand</source>
        <translation>à la main</translation>
    </message>
    <message>
        <source>Pulls a set</source>
        <translation>Passages par série</translation>
    </message>
    <message>
        <source>Pulls of one build in a row</source>
        <translation>Passages d&apos;un montage à la suite</translation>
    </message>
    <message>
        <source> pulls a set</source>
        <translation> passages par série</translation>
    </message>
    <message>
        <source>One pull a set less</source>
        <translation>Un passage par série de moins</translation>
    </message>
    <message>
        <source>One pull a set more</source>
        <translation>Un passage par série de plus</translation>
    </message>
    <message>
        <source>Change the order of the pulls</source>
        <translation>Changer l&apos;ordre des passages</translation>
    </message>
    <message>
        <source>No sweep was planned</source>
        <translation>Aucun pas n&apos;a été planifié</translation>
    </message>
    <message>
        <source>Other builds have pulls already. Add builds for the steps by hand.</source>
        <translation>D&apos;autres montages ont déjà des passages. Ajouter à la main les montages des pas.</translation>
    </message>
    <message>
        <source>Plan %1</source>
        <translation>Planifier %1</translation>
    </message>
    <message>
        <source>Change the pulls a set</source>
        <translation>Changer les passages par série</translation>
    </message>
    <message>
        <source>Sound: drift can be told from the parts.</source>
        <translation>Solide : la dérive se sépare des pièces.</translation>
    </message>
    <message>
        <source>%1 (needs %2 builds)</source>
        <translation>%1 (demande %2 montages)</translation>
    </message>
    <message>
        <source>%1 is taken off and fitted again in between.</source>
        <translation>%1 est déposé et remonté entre-temps.</translation>
    </message>
</context>
<context>
    <name>hillrun::OrderStrip</name>
    <message>
        <source>Order of the pulls</source>
        <translation>Ordre des passages</translation>
    </message>
    <message>
        <source>Drag to put the pulls in another order. Ctrl and arrows move, Insert doubles, Delete takes out.</source>
        <translation>Tirer pour mettre les passages dans un autre ordre. Ctrl et flèches déplacent, Inser double, Suppr enlève.</translation>
    </message>
    <message>
        <source>pull %1: build %2, done</source>
        <translation>passage %1 : montage %2, fait</translation>
    </message>
    <message>
        <source>pull %1: build %2</source>
        <translation>passage %1 : montage %2</translation>
    </message>
    <message>
        <source>No pulls planned yet: choose a design.</source>
        <translation>Aucun passage planifié : choisir un plan.</translation>
    </message>
</context>
<context>
    <name>hillrun::OtherDays</name>
    <message>
        <source>Put %1 beside today&apos;s builds</source>
        <translation>Placer %1 à côté des montages du jour</translation>
    </message>
    <message>
        <source>No longer put %1 beside</source>
        <translation>Ne plus placer %1 à côté</translation>
    </message>
</context>
<context>
    <name>hillrun::PairClaims</name>
    <message>
        <source>named beforehand</source>
        <translation>nommée d&apos;avance</translation>
    </message>
    <message>
        <source>Judge this pair by its own band, because it was named before the pulls. All others of the day are then judged by the wider band over all pairs.</source>
        <translation>Juger cette paire par sa propre bande, parce qu&apos;elle a été nommée avant les passages. Toutes les autres de la journée sont alors jugées par la bande plus large sur toutes les paires.</translation>
    </message>
    <message>
        <source>Smallest difference that matters</source>
        <translation>Plus petite différence qui compte</translation>
    </message>
    <message>
        <source>With it “no difference that matters” can be said</source>
        <translation>Avec elle on peut dire « pas de différence qui compte »</translation>
    </message>
    <message>
        <source>matters from</source>
        <translation>compte dès</translation>
    </message>
    <message>
        <source>Change what matters</source>
        <translation>Changer ce qui compte</translation>
    </message>
    <message>
        <source>Name %1 to %2 beforehand</source>
        <translation>Nommer %1 à %2 d&apos;avance</translation>
    </message>
    <message>
        <source>No longer name %1 to %2</source>
        <translation>Ne plus nommer %1 à %2</translation>
    </message>
</context>
<context>
    <name>hillrun::PairOffers</name>
    <message>
        <source>Set %1 aside</source>
        <translation>Écarter %1</translation>
    </message>
    <message>
        <source>Leave it out of the sums, so that the comparison reaches further; Ctrl+Z takes it back</source>
        <translation>Le laisser des calculs, pour que la comparaison aille plus loin ; Ctrl+Z le reprend</translation>
    </message>
    <message>
        <source>it shortens the range that all pulls share</source>
        <translation>il raccourcit la plage que tous les passages partagent</translation>
    </message>
    <message>
        <source>Count on earlier days</source>
        <translation>Compter sur les jours antérieurs</translation>
    </message>
    <message>
        <source>Takes today to repeat as this cell&apos;s earlier days do; the answer says so. Ctrl+Z takes it back</source>
        <translation>Admet que la journée se répète comme les journées antérieures de ce banc ; la réponse le dit. Ctrl+Z l&apos;annule</translation>
    </message>
    <message>
        <source>Count on earlier days&apos; repeats</source>
        <translation>Compter les répétitions des journées antérieures</translation>
    </message>
</context>
<context>
    <name>hillrun::PairPane</name>
    <message>
        <source>Show as</source>
        <translation>Montrer</translation>
    </message>
    <message>
        <source>Which curve stands for a build. The difference always comes from all its pulls.</source>
        <translation>Quelle courbe représente un montage. La différence vient toujours de tous ses passages.</translation>
    </message>
    <message>
        <source>drag across the curves to add a band</source>
        <translation>tirer à travers les courbes pour ajouter une plage</translation>
    </message>
    <message>
        <source>From: the build that is compared against</source>
        <translation>De : le montage de référence</translation>
    </message>
    <message>
        <source>To: the build that is looked at</source>
        <translation>À : le montage regardé</translation>
    </message>
    <message>
        <source>Swap the two builds</source>
        <translation>Échanger les deux montages</translation>
    </message>
    <message>
        <source>Average differences by band</source>
        <translation>Différences moyennes par plage</translation>
    </message>
    <message>
        <source>Add the band %1</source>
        <translation>Ajouter la plage %1</translation>
    </message>
    <message>
        <source>Remove the band %1</source>
        <translation>Enlever la plage %1</translation>
    </message>
</context>
<context>
    <name>hillrun::PartForm</name>
    <message>
        <source>Interactions that were not run are at most</source>
        <translation>Les interactions non essayées sont au plus de</translation>
    </message>
    <message>
        <source>Declared by you, there is no usual value: it widens every fair share that hangs on a combination nobody ran</source>
        <translation>Déclaré par vous, il n&apos;y a pas de valeur usuelle : élargit chaque part équitable qui dépend d&apos;une combinaison que personne n&apos;a essayée</translation>
    </message>
    <message>
        <source>What counts as one part</source>
        <translation>Ce qui compte comme une pièce</translation>
    </message>
    <message>
        <source>Cost of the part</source>
        <translation>Coût de la pièce</translation>
    </message>
    <message>
        <source>Mass that it adds</source>
        <translation>Masse qu&apos;elle ajoute</translation>
    </message>
    <message>
        <source>Expected gain, from</source>
        <translation>Gain attendu, de</translation>
    </message>
    <message>
        <source>Expected gain, to</source>
        <translation>Gain attendu, à</translation>
    </message>
    <message>
        <source>Where the builds&apos; own costs do not say it</source>
        <translation>Où les coûts des montages ne le disent pas</translation>
    </message>
    <message>
        <source>Where the builds&apos; own masses do not say it</source>
        <translation>Où les masses des montages ne le disent pas</translation>
    </message>
    <message>
        <source>What somebody said it would give; best typed before the pulls</source>
        <translation>Ce que quelqu&apos;un a annoncé ; à noter de préférence avant les passages</translation>
    </message>
    <message>
        <source>Cost</source>
        <translation>Coût</translation>
    </message>
    <message>
        <source>Mass added</source>
        <translation>Masse en plus</translation>
    </message>
    <message>
        <source>Expected from</source>
        <translation>Attendu de</translation>
    </message>
    <message>
        <source>to</source>
        <translation>à</translation>
    </message>
    <message>
        <source>Note the cost of %1</source>
        <translation>Noter le coût de %1</translation>
    </message>
    <message>
        <source>Note the mass of %1</source>
        <translation>Noter la masse de %1</translation>
    </message>
    <message>
        <source>Declare a bound on interactions</source>
        <translation>Déclarer une borne des interactions</translation>
    </message>
    <message>
        <source>Note what %1 is expected to give</source>
        <translation>Noter ce qui est attendu de %1</translation>
    </message>
    <message>
        <source>Change what %1 counts with</source>
        <translation>Changer avec quoi compte %1</translation>
    </message>
    <message>
        <source>What %1 counts with</source>
        <translation>Avec quoi compte %1</translation>
    </message>
    <message>
        <source>by itself</source>
        <translation>à part</translation>
    </message>
    <message>
        <source>with %1</source>
        <translation>avec %1</translation>
    </message>
    <message>
        <source>not at all</source>
        <translation>pas du tout</translation>
    </message>
    <message>
        <source>The number that was run in steps</source>
        <translation>Le nombre réglé par paliers</translation>
    </message>
    <message>
        <source>Say which number of %1 counts</source>
        <translation>Dire quel nombre de %1 compte</translation>
    </message>
    <message>
        <source>number %1: %2</source>
        <translation>nombre %1 : %2</translation>
    </message>
    <message>
        <source>choose</source>
        <translation>choisir</translation>
    </message>
</context>
<context>
    <name>hillrun::PartTable</name>
    <message>
        <source>What each part gives</source>
        <translation>Ce que donne chaque pièce</translation>
    </message>
</context>
<context>
    <name>hillrun::PreparePage</name>
    <message>
        <source>Changes as they were done</source>
        <translation>Changements comme ils ont été faits</translation>
    </message>
    <message>
        <source>%1 %2 → %3: %4</source>
        <translation>%1 %2 → %3 : %4</translation>
    </message>
    <message>
        <source>nothing noted</source>
        <translation>rien de noté</translation>
    </message>
    <message>
        <source>None yet. Pull asks for them when a build is changed.</source>
        <translation>Aucun encore. « Passer » les demande quand un montage est changé.</translation>
    </message>
</context>
<context>
    <name>hillrun::ProtocolPanel</name>
    <message>
        <source>Each pull</source>
        <translation>Chaque passage</translation>
    </message>
    <message>
        <source>Start speed</source>
        <translation>Régime de départ</translation>
    </message>
    <message>
        <source>End speed</source>
        <translation>Régime de fin</translation>
    </message>
    <message>
        <source>Ramp</source>
        <translation>Rampe</translation>
    </message>
    <message>
        <source>Gear</source>
        <translation>Vitesse</translation>
    </message>
    <message>
        <source>Cool-down</source>
        <translation>Refroidir</translation>
    </message>
    <message>
        <source>Time to change a build</source>
        <translation>Temps pour changer de montage</translation>
    </message>
    <message>
        <source>from</source>
        <translation>de</translation>
    </message>
    <message>
        <source>to</source>
        <translation>à</translation>
    </message>
    <message>
        <source>ramp</source>
        <translation>rampe</translation>
    </message>
    <message>
        <source>gear</source>
        <translation>vitesse</translation>
    </message>
    <message>
        <source>cool-down</source>
        <translation>refroidir</translation>
    </message>
    <message>
        <source>change a build</source>
        <translation>changer de montage</translation>
    </message>
    <message>
        <source>Change the start speed</source>
        <translation>Changer le régime de départ</translation>
    </message>
    <message>
        <source>Change the end speed</source>
        <translation>Changer le régime de fin</translation>
    </message>
    <message>
        <source>Change the ramp</source>
        <translation>Changer la rampe</translation>
    </message>
    <message>
        <source>Change the gear</source>
        <translation>Changer la vitesse</translation>
    </message>
    <message>
        <source>Change the cool-down</source>
        <translation>Changer le refroidissement</translation>
    </message>
    <message>
        <source>Change the time for a change</source>
        <translation>Changer le temps d&apos;un changement</translation>
    </message>
    <message>
        <source>At %1 rpm: </source>
        <translation>À %1 rpm : </translation>
    </message>
</context>
<context>
    <name>hillrun::PullFlow</name>
    <message>
        <source>Fit build %1</source>
        <translation>Monter %1</translation>
    </message>
    <message>
        <source>Record %1</source>
        <translation>Enregistrer %1</translation>
    </message>
    <message>
        <source>Date %1 by the logger</source>
        <translation>Dater %1 d&apos;après l&apos;enregistreur</translation>
    </message>
    <message>
        <source>Fit build %1 again</source>
        <translation>Remonter %1</translation>
    </message>
</context>
<context>
    <name>hillrun::PullModel</name>
    <message>
        <source>pull</source>
        <translation>passage</translation>
    </message>
    <message>
        <source>time</source>
        <translation>temps</translation>
    </message>
    <message>
        <source>mean</source>
        <translation>moyenne</translation>
    </message>
    <message>
        <source>from set</source>
        <translation>à la série</translation>
    </message>
    <message>
        <source>remarks</source>
        <translation>remarques</translation>
    </message>
    <message>
        <source>fitted again</source>
        <translation>remonté</translation>
    </message>
</context>
<context>
    <name>hillrun::PullPage</name>
    <message>
        <source>Gates</source>
        <translation>Conditions</translation>
    </message>
    <message>
        <source>Air temperature at the intake</source>
        <translation>Température d&apos;air à l&apos;admission</translation>
    </message>
    <message>
        <source>Station pressure, not the sea-level figure</source>
        <translation>Pression de station, pas au niveau de la mer</translation>
    </message>
    <message>
        <source>Relative humidity</source>
        <translation>Humidité relative</translation>
    </message>
    <message>
        <source>air</source>
        <translation>air</translation>
    </message>
    <message>
        <source>pressure</source>
        <translation>pression</translation>
    </message>
    <message>
        <source>humidity</source>
        <translation>humidité</translation>
    </message>
    <message>
        <source>typed counts, not the station</source>
        <translation>la saisie compte, pas la station</translation>
    </message>
    <message>
        <source>When the station is wrong or stands in the wrong place</source>
        <translation>Quand la station est fausse ou au mauvais endroit</translation>
    </message>
    <message>
        <source>rpm</source>
        <translation>rpm</translation>
    </message>
    <message>
        <source>engine speed, rpm</source>
        <translation>régime moteur, rpm</translation>
    </message>
    <message>
        <source>live figure, as measured</source>
        <translation>chiffre en direct, comme mesuré</translation>
    </message>
    <message>
        <source>Next</source>
        <translation>Ensuite</translation>
    </message>
    <message>
        <source>The pull runs</source>
        <translation>Le passage tourne</translation>
    </message>
    <message>
        <source>No cell connected</source>
        <translation>Aucun banc relié</translation>
    </message>
    <message>
        <source>lost: %1</source>
        <translation>perdu : %1</translation>
    </message>
    <message>
        <source>connecting</source>
        <translation>liaison en cours</translation>
    </message>
    <message>
        <source>silent for %1</source>
        <translation>muet depuis %1</translation>
    </message>
    <message>
        <source>live</source>
        <translation>en direct</translation>
    </message>
    <message>
        <source>%1 frames/s</source>
        <translation>%1 lignes/s</translation>
    </message>
    <message>
        <source>, %1 bad</source>
        <translation>, %1 mauvaises</translation>
    </message>
    <message>
        <source>%1 %2</source>
        <translation>%1 %2</translation>
    </message>
    <message>
        <source>No connection. Press Ctrl+L to name the cell.</source>
        <translation>Pas de liaison. Ctrl+L nomme le banc.</translation>
    </message>
    <message>
        <source>The journal cannot be written: %1. The pull is kept in memory.</source>
        <translation>Le journal ne peut être écrit : %1. Le passage est gardé en mémoire.</translation>
    </message>
    <message>
        <source>from the station: %1</source>
        <translation>de la station : %1</translation>
    </message>
    <message>
        <source>type it, or connect a station; station pressure, not the sea-level figure</source>
        <translation>saisir, ou relier une station ; pression de station, pas au niveau de la mer</translation>
    </message>
    <message>
        <source>typed by hand; give the station pressure</source>
        <translation>saisi à la main ; donner la pression de station</translation>
    </message>
    <message>
        <source>not armed</source>
        <translation>pas armé</translation>
    </message>
    <message>
        <source>armed, no signal</source>
        <translation>armé, pas de signal</translation>
    </message>
    <message>
        <source>armed</source>
        <translation>armé</translation>
    </message>
    <message>
        <source>recording %1 s</source>
        <translation>enregistre %1 s</translation>
    </message>
    <message>
        <source>ending</source>
        <translation>finit</translation>
    </message>
    <message>
        <source>No day is open</source>
        <translation>Aucune journée n&apos;est ouverte</translation>
    </message>
    <message>
        <source>Keep %1, or set it aside?</source>
        <translation>Garder %1, ou l&apos;écarter ?</translation>
    </message>
    <message>
        <source>No build yet</source>
        <translation>Pas encore de montage</translation>
    </message>
    <message>
        <source>Pull of build %1</source>
        <translation>Passage du montage %1</translation>
    </message>
    <message>
        <source>Open a day, or begin one here: it is kept among your days.</source>
        <translation>Ouvrir une journée, ou en commencer une ici : elle est gardée parmi les vôtres.</translation>
    </message>
    <message>
        <source>K keeps it, S sets it aside with a reason.</source>
        <translation>K le garde, S l&apos;écarte avec une raison.</translation>
    </message>
    <message>
        <source>On the dyno: %1. Press B when %2 is fitted.</source>
        <translation>Sur le banc : %1. Presser B quand %2 est monté.</translation>
    </message>
    <message>
        <source>%1 of %2 planned pulls are made.</source>
        <translation>%1 des %2 passages planifiés sont faits.</translation>
    </message>
    <message>
        <source>%1 cautions are not ticked (Prepare).</source>
        <translation>%1 précautions ne sont pas cochées (Préparer).</translation>
    </message>
    <message>
        <source>%1 too short for a pull: kept, see “What was kept”.</source>
        <translation>%1 trop court pour un passage : gardé, voir « Ce qui a été gardé ».</translation>
    </message>
    <message>
        <source>The cell says build %1 is fitted, the day says %2.</source>
        <translation>Le banc dit que %1 est monté, la journée dit %2.</translation>
    </message>
    <message>
        <source>No limits: nothing is watched while a pull runs.</source>
        <translation>Pas de limites : rien n’est surveillé pendant un passage.</translation>
    </message>
    <message>
        <source>%1 of %2 limits watched. No safety device.</source>
        <translation>%1 limites sur %2 surveillées. Pas un dispositif de sécurité.</translation>
    </message>
    <message>
        <source>Press B when %1 is fitted again.</source>
        <translation>Appuyez sur B quand %1 est remonté.</translation>
    </message>
</context>
<context>
    <name>hillrun::PullPicture</name>
    <message>
        <source>Engine speed along the file, its pulls shaded</source>
        <translation>Régime le long du fichier, ses passages ombrés</translation>
    </message>
    <message>
        <source>Drag an edge to trim a pull; double click to split it. By keys: arrows, S splits, J joins with the next, [ and ] set start and end</source>
        <translation>Tirer un bord pour couper un passage ; double clic pour le partager. Aux touches : flèches, S partage, J joint au suivant, [ et ] fixent début et fin</translation>
    </message>
    <message>
        <source>pull %1: rows %2 to %3%4%5</source>
        <translation>passage %1 : lignes %2 à %3%4%5</translation>
    </message>
    <message>
        <source>, not used</source>
        <translation>, non employé</translation>
    </message>
    <message>
        <source>, chosen</source>
        <translation>, choisi</translation>
    </message>
    <message>
        <source>cursor at row %1</source>
        <translation>curseur à la ligne %1</translation>
    </message>
</context>
<context>
    <name>hillrun::PullTable</name>
    <message>
        <source>%1 rows, %2 s, to lie beside pulls</source>
        <translation>%1 lignes, %2 s, à poser à côté de passages</translation>
    </message>
    <message>
        <source>a curve of %1 points</source>
        <translation>une courbe de %1 points</translation>
    </message>
    <message>
        <source>%1 rows, roller speed only</source>
        <translation>%1 lignes, vitesse de rouleau seule</translation>
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
        <translation>usage</translation>
    </message>
    <message>
        <source>pull</source>
        <translation>passage</translation>
    </message>
    <message>
        <source>build</source>
        <translation>montage</translation>
    </message>
    <message>
        <source>what it is</source>
        <translation>ce que c&apos;est</translation>
    </message>
    <message>
        <source>made at</source>
        <translation>fait à</translation>
    </message>
    <message>
        <source>cannot be read yet</source>
        <translation>pas encore lisible</translation>
    </message>
    <message>
        <source>%1 · %2</source>
        <translation>%1 · %2</translation>
    </message>
    <message>
        <source>use %1</source>
        <translation>employer %1</translation>
    </message>
    <message>
        <source>Not known: the pull goes by its place in the order</source>
        <translation>Inconnue : le passage suit sa place dans l&apos;ordre</translation>
    </message>
</context>
<context>
    <name>hillrun::QuestionPanel</name>
    <message>
        <source>Can this plan see it?</source>
        <translation>Ce plan peut-il la voir ?</translation>
    </message>
    <message>
        <source>Smallest difference that matters</source>
        <translation>Plus petite différence qui compte</translation>
    </message>
    <message>
        <source>Repeatability of one pull</source>
        <translation>Répétabilité d&apos;un passage</translation>
    </message>
    <message>
        <source>As measured</source>
        <translation>Comme mesurée</translation>
    </message>
    <message>
        <source>Take what this cell&apos;s earlier days repeat within</source>
        <translation>Prendre la répétabilité des journées passées de ce banc</translation>
    </message>
    <message>
        <source>smallest difference that matters</source>
        <translation>plus petite différence utile</translation>
    </message>
    <message>
        <source>one pull repeats within (sd)</source>
        <translation>répétabilité (écart-type)</translation>
    </message>
    <message>
        <source>Change what matters</source>
        <translation>Changer ce qui compte</translation>
    </message>
    <message>
        <source>Change the repeatability</source>
        <translation>Changer la répétabilité</translation>
    </message>
    <message>
        <source>Take the measured repeatability</source>
        <translation>Prendre la répétabilité mesurée</translation>
    </message>
    <message>
        <source>Plan two builds to see what the pulls can tell.</source>
        <translation>Planifier deux montages pour voir ce que les passages peuvent dire.</translation>
    </message>
    <message>
        <source>This plan sees %1 % in %2 pulls, about %3.</source>
        <translation>Ce plan voit %1 % en %2 passages, environ %3.</translation>
    </message>
    <message>
        <source>This plan can prove nothing: take more than one pull a set.</source>
        <translation>Ce plan ne peut rien prouver : prendre plus d&apos;un passage par série.</translation>
    </message>
    <message>
        <source>To see %1 % even 30 pulls a set are too few: fit the builds again more often.</source>
        <translation>Pour voir %1 %, même 30 passages par série sont trop peu : remontez plus souvent.</translation>
    </message>
    <message>
        <source>To see %1 % even 30 pulls a set are too few.</source>
        <translation>Pour voir %1 %, même 30 passages par série ne suffisent pas.</translation>
    </message>
    <message>
        <source>To see %1 % on four days of five: %2 pulls a set, about %3.</source>
        <translation>Pour voir %1 % quatre jours sur cinq : %2 passages par série, environ %3.</translation>
    </message>
    <message>
        <source> Repeatability from %1 of this cell; were it as bad as it may be: %2 a set.</source>
        <translation> Répétabilité tirée de %1 de ce banc ; si elle était aussi mauvaise que possible : %2 par série.</translation>
    </message>
    <message>
        <source>more than 30</source>
        <translation>plus de 30</translation>
    </message>
    <message>
        <source> Repeatability not measured yet: half a per cent to start with.</source>
        <translation> Répétabilité pas encore mesurée : un demi pour cent pour commencer.</translation>
    </message>
    <message>
        <source> Refitting as this cell has taught.</source>
        <translation> Remontage comme ce banc l’a appris.</translation>
    </message>
    <message>
        <source>Beside today&apos;s: %1</source>
        <translation>À côté du jour : %1</translation>
    </message>
    <message>
        <source>This day teaches what fitting again adds.</source>
        <translation>Cette journée apprend ce qu&apos;un remontage ajoute.</translation>
    </message>
    <message>
        <source>This cell knows it as %1&#xa0;% (80&#xa0;%: %2 to %3); each such day narrows it.</source>
        <translation>Ce banc le connaît comme %1&#xa0;% (80&#xa0;% : de %2 à %3) ; chaque journée pareille le resserre.</translation>
    </message>
    <message>
        <source>This cell does not know it yet: %1 builds fitted again tell it.</source>
        <translation>Ce banc ne le connaît pas encore : %1 remontages le disent.</translation>
    </message>
</context>
<context>
    <name>hillrun::RawTextPanel</name>
    <message>
        <source>The first lines of the file</source>
        <translation>Les premières lignes du fichier</translation>
    </message>
    <message>
        <source>title</source>
        <translation>titre</translation>
    </message>
    <message>
        <source>names</source>
        <translation>noms</translation>
    </message>
    <message>
        <source>units</source>
        <translation>unités</translation>
    </message>
    <message>
        <source>rows</source>
        <translation>lignes</translation>
    </message>
    <message>
        <source>left out</source>
        <translation>laissé</translation>
    </message>
    <message>
        <source>written as</source>
        <translation>écrit en</translation>
    </message>
    <message>
        <source>found</source>
        <translation>trouvé</translation>
    </message>
    <message>
        <source>separated by</source>
        <translation>séparé par</translation>
    </message>
    <message>
        <source>comma</source>
        <translation>virgule</translation>
    </message>
    <message>
        <source>semicolon</source>
        <translation>point-virgule</translation>
    </message>
    <message>
        <source>tab</source>
        <translation>tabulation</translation>
    </message>
    <message>
        <source>bar</source>
        <translation>barre</translation>
    </message>
    <message>
        <source>blanks</source>
        <translation>blancs</translation>
    </message>
    <message>
        <source>decimal sign</source>
        <translation>marque décimale</translation>
    </message>
    <message>
        <source>point</source>
        <translation>point</translation>
    </message>
    <message>
        <source>names in line</source>
        <translation>noms à la ligne</translation>
    </message>
    <message>
        <source>units in line</source>
        <translation>unités à la ligne</translation>
    </message>
    <message>
        <source>first row in line</source>
        <translation>première mesure à la ligne</translation>
    </message>
    <message>
        <source>dates</source>
        <translation>dates</translation>
    </message>
    <message>
        <source>day first</source>
        <translation>jour d&apos;abord</translation>
    </message>
    <message>
        <source>month first</source>
        <translation>mois d&apos;abord</translation>
    </message>
    <message>
        <source>rows a second</source>
        <translation>lignes par seconde</translation>
    </message>
    <message>
        <source>For a file without a time column, or with one that cannot be trusted</source>
        <translation>Pour un fichier sans colonne de temps, ou dont elle n&apos;est pas sûre</translation>
    </message>
    <message>
        <source>when the first row was recorded</source>
        <translation>quand la première ligne a été enregistrée</translation>
    </message>
    <message>
        <source>A date and a time, such as 2026-05-16 09:12</source>
        <translation>Une date et une heure, par exemple 2026-05-16 09:12</translation>
    </message>
    <message>
        <source>first row recorded at</source>
        <translation>première ligne enregistrée à</translation>
    </message>
</context>
<context>
    <name>hillrun::ReportPage</name>
    <message>
        <source>The sheet as it will print</source>
        <translation>La feuille telle qu&apos;elle s&apos;imprimera</translation>
    </message>
    <message>
        <source>On the sheet</source>
        <translation>Sur la feuille</translation>
    </message>
    <message>
        <source>What changed, like for like</source>
        <translation>Ce qui a changé, conditions égales</translation>
    </message>
    <message>
        <source>Curves</source>
        <translation>Courbes</translation>
    </message>
    <message>
        <source>Difference with its band</source>
        <translation>Différence avec sa bande</translation>
    </message>
    <message>
        <source>Averages, peaks, crossovers</source>
        <translation>Moyennes, maxima, croisements</translation>
    </message>
    <message>
        <source>What was left out</source>
        <translation>Ce qui a été laissé</translation>
    </message>
    <message>
        <source>How it was worked out</source>
        <translation>Comment c&apos;est calculé</translation>
    </message>
    <message>
        <source>Working the day out …</source>
        <translation>La journée est calculée …</translation>
    </message>
    <message>
        <source>No day is open. Press Ctrl+O to open one.</source>
        <translation>Aucune journée n&apos;est ouverte. Ctrl+O en ouvre une.</translation>
    </message>
    <message>
        <source>Pages behind it</source>
        <translation>Pages suivantes</translation>
    </message>
    <message>
        <source>The other curve of Compare</source>
        <translation>L&apos;autre courbe de Comparer</translation>
    </message>
    <message>
        <source>All builds: the field</source>
        <translation>Tous les montages : le plateau</translation>
    </message>
    <message>
        <source>What each part gives: credit</source>
        <translation>Chaque pièce : le mérite</translation>
    </message>
    <message>
        <source>Builds of other days</source>
        <translation>Montages d&apos;autres jours</translation>
    </message>
    <message>
        <source>Worth on the day&apos;s course</source>
        <translation>Sur le parcours de la journée</translation>
    </message>
    <message>
        <source>Checks of the cell&apos;s instruments</source>
        <translation>Contrôles des instruments du banc</translation>
    </message>
</context>
<context>
    <name>hillrun::RoadPage</name>
    <message>
        <source>Course</source>
        <translation>Parcours</translation>
    </message>
    <message>
        <source>This course could not be read</source>
        <translation>Ce parcours n&apos;a pas pu être lu</translation>
    </message>
    <message>
        <source>Course out of a file</source>
        <translation>Parcours d&apos;un fichier</translation>
    </message>
    <message>
        <source>Take the course as the use</source>
        <translation>Prendre le parcours comme usage</translation>
    </message>
    <message>
        <source>No day is open.</source>
        <translation>Aucune journée n&apos;est ouverte.</translation>
    </message>
    <message>
        <source>Working the day out …</source>
        <translation>La journée est calculée …</translation>
    </message>
    <message>
        <source>Nothing can be driven yet: %1.</source>
        <translation>Rien ne peut encore être conduit : %1.</translation>
    </message>
    <message>
        <source>One build is driven; two are compared.</source>
        <translation>Un montage est conduit ; deux sont comparés.</translation>
    </message>
    <message>
        <source>From a file …</source>
        <translation>D&apos;un fichier …</translation>
    </message>
    <message>
        <source>As use</source>
        <translation>Comme usage</translation>
    </message>
    <message>
        <source>The time that the engine spends at each speed becomes what the builds are wanted for</source>
        <translation>Le temps que le moteur passe à chaque régime devient ce à quoi servent les montages</translation>
    </message>
    <message>
        <source>Road</source>
        <translation>Route</translation>
    </message>
    <message>
        <source>What a curve is worth where it is driven</source>
        <translation>Ce que vaut une courbe là où l&apos;on roule</translation>
    </message>
    <message>
        <source>Drive on %1</source>
        <translation>Rouler sur : %1</translation>
    </message>
    <message>
        <source>Courses (*.csv *.gpx *.GPX)</source>
        <translation>Parcours (*.csv *.gpx *.GPX)</translation>
    </message>
    <message>
        <source>Fit the drag area to a timed run</source>
        <translation>Ajuster la surface de traînée à un parcours chronométré</translation>
    </message>
    <message>
        <source>Fit the launch to a timed run</source>
        <translation>Ajuster le départ à un parcours chronométré</translation>
    </message>
    <message>
        <source>A table of length, gradient and corner speeds, or a track with heights (GPX)</source>
        <translation>Un tableau de longueurs, pentes et vitesses en virage, ou une trace avec altitudes (GPX)</translation>
    </message>
    <message>
        <source>One speed held (boat, aircraft)</source>
        <translation>Un régime tenu (bateau, avion)</translation>
    </message>
    <message>
        <source>The speed that is held</source>
        <translation>Le régime tenu</translation>
    </message>
    <message>
        <source>By how much it goes up and down</source>
        <translation>De combien il monte et descend</translation>
    </message>
    <message>
        <source>Hold %1</source>
        <translation>Tenir %1</translation>
    </message>
    <message>
        <source>Take the speed held as the use</source>
        <translation>Prendre le régime tenu comme usage</translation>
    </message>
    <message>
        <source>One build is held; two are compared.</source>
        <translation>Un montage est tenu ; il en faut deux pour comparer.</translation>
    </message>
    <message>
        <source>Nothing can be told yet: %1.</source>
        <translation>On ne peut encore rien dire : %1.</translation>
    </message>
</context>
<context>
    <name>hillrun::SettingsDialog</name>
    <message>
        <source>Settings</source>
        <translation>Réglages</translation>
    </message>
    <message>
        <source>Write to a file …</source>
        <translation>Écrire dans un fichier …</translation>
    </message>
    <message>
        <source>Read from a file …</source>
        <translation>Lire d&apos;un fichier …</translation>
    </message>
    <message>
        <source>Take over</source>
        <translation>Prendre</translation>
    </message>
    <message>
        <source>Go back</source>
        <translation>Revenir</translation>
    </message>
    <message>
        <source>%1: %2</source>
        <translation>%1 : %2</translation>
    </message>
    <message>
        <source>Window and figures</source>
        <translation>Fenêtre et chiffres</translation>
    </message>
    <message>
        <source>Language</source>
        <translation>Langue</translation>
    </message>
    <message>
        <source>as the desktop</source>
        <translation>comme le bureau</translation>
    </message>
    <message>
        <source>Colours</source>
        <translation>Couleurs</translation>
    </message>
    <message>
        <source>light</source>
        <translation>clair</translation>
    </message>
    <message>
        <source>dark</source>
        <translation>sombre</translation>
    </message>
    <message>
        <source>Units</source>
        <translation>Unités</translation>
    </message>
    <message>
        <source>Air standard</source>
        <translation>Norme d&apos;air</translation>
    </message>
    <message>
        <source>Smoothing</source>
        <translation>Lissage</translation>
    </message>
    <message>
        <source>%1 rpm</source>
        <translation>%1 rpm</translation>
    </message>
    <message>
        <source>Drift</source>
        <translation>Dérive</translation>
    </message>
    <message>
        <source>Folder for days</source>
        <translation>Dossier des journées</translation>
    </message>
    <message>
        <source>Choose …</source>
        <translation>Choisir …</translation>
    </message>
    <message>
        <source>“Hill Run” among your documents</source>
        <translation>« Hill Run » parmi vos documents</translation>
    </message>
    <message>
        <source>Paper and letterhead</source>
        <translation>Papier et en-tête</translation>
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
        <translation>Atelier</translation>
    </message>
    <message>
        <source>Address, a line each</source>
        <translation>Adresse, une ligne chacune</translation>
    </message>
    <message>
        <source>Address</source>
        <translation>Adresse</translation>
    </message>
    <message>
        <source>Picture</source>
        <translation>Image</translation>
    </message>
    <message>
        <source>Write the settings</source>
        <translation>Écrire les réglages</translation>
    </message>
    <message>
        <source>Settings (*.json)</source>
        <translation>Réglages (*.json)</translation>
    </message>
    <message>
        <source>The settings could not be written</source>
        <translation>Les réglages n&apos;ont pu être écrits</translation>
    </message>
    <message>
        <source>Read settings</source>
        <translation>Lire des réglages</translation>
    </message>
    <message>
        <source>These settings could not be read</source>
        <translation>Ces réglages n&apos;ont pu être lus</translation>
    </message>
    <message>
        <source>Curve of a build</source>
        <translation>Courbe d’un montage</translation>
    </message>
    <message>
        <source>Cell and weather</source>
        <translation>Banc et météo</translation>
    </message>
    <message>
        <source>While a pull runs</source>
        <translation>Pendant un passage</translation>
    </message>
    <message>
        <source>They belong to the article of a day: open one first</source>
        <translation>Elles vont avec l’article d’une journée : ouvrez-en d’abord une</translation>
    </message>
    <message>
        <source>What is watched</source>
        <translation>Ce qui est surveillé</translation>
    </message>
    <message>
        <source>Tone when a limit is passed</source>
        <translation>Son quand une limite est franchie</translation>
    </message>
    <message>
        <source>Hear it</source>
        <translation>Écouter</translation>
    </message>
    <message>
        <source>Tone at a limit</source>
        <translation>Son à une limite</translation>
    </message>
    <message>
        <source>Nothing can be heard. %1</source>
        <translation>On n’entend rien. %1</translation>
    </message>
    <message>
        <source>Logbook</source>
        <translation>Carnet</translation>
    </message>
    <message>
        <source>this bench&apos;s own, or postgresql://host/name</source>
        <translation>celui de ce banc, ou postgresql://host/name</translation>
    </message>
    <message>
        <source>A file, or the address of a server that several benches share. Passwords stay where the server&apos;s own library looks for them.</source>
        <translation>Un fichier, ou l&apos;adresse d&apos;un serveur que plusieurs bancs partagent. Les mots de passe restent là où la bibliothèque du serveur les cherche.</translation>
    </message>
</context>
<context>
    <name>hillrun::SlipPanel</name>
    <message>
        <source>Slip</source>
        <translation>Billet</translation>
    </message>
    <message>
        <source>Looking at it …</source>
        <translation>Examen …</translation>
    </message>
    <message>
        <source>After each pull: how it lies on its set, what was found, and whether to keep it.</source>
        <translation>Après chaque passage : comment il est sur sa série, ce qui a été trouvé, et s&apos;il faut le garder.</translation>
    </message>
    <message>
        <source>set aside</source>
        <translation>écarté</translation>
    </message>
    <message>
        <source>Set aside: %1</source>
        <translation>Écarté : %1</translation>
    </message>
</context>
<context>
    <name>hillrun::StartPanel</name>
    <message>
        <source>What do you want to find out today?</source>
        <translation>Que voulez-vous découvrir aujourd&apos;hui ?</translation>
    </message>
    <message>
        <source>Begin a day with its builds and the order of its pulls, or open one.</source>
        <translation>Commencer une journée avec ses montages et l&apos;ordre de ses passages, ou en ouvrir une.</translation>
    </message>
    <message>
        <source>Days opened before</source>
        <translation>Journées ouvertes avant</translation>
    </message>
    <message>
        <source>Demo days, invented</source>
        <translation>Journées d&apos;exemple, inventées</translation>
    </message>
    <message>
        <source>Go on with %1</source>
        <translation>Continuer avec %1</translation>
    </message>
</context>
<context>
    <name>hillrun::StationPanel</name>
    <message>
        <source>Weather station beside a better instrument</source>
        <translation>Station météo à côté d&apos;un meilleur instrument</translation>
    </message>
    <message>
        <source>pressure</source>
        <translation>pression</translation>
    </message>
    <message>
        <source>temperature</source>
        <translation>température</translation>
    </message>
    <message>
        <source>relative humidity</source>
        <translation>humidité relative</translation>
    </message>
    <message>
        <source>station</source>
        <translation>station</translation>
    </message>
    <message>
        <source>reference</source>
        <translation>référence</translation>
    </message>
    <message>
        <source>Type what both read in the same air.</source>
        <translation>Saisissez ce que les deux indiquent dans le même air.</translation>
    </message>
    <message>
        <source>Keep the check of the weather station</source>
        <translation>Garder le contrôle de la station météo</translation>
    </message>
    <message>
        <source>Take the check of the weather station away</source>
        <translation>Retirer le contrôle de la station météo</translation>
    </message>
</context>
<context>
    <name>hillrun::TimedRunPanel</name>
    <message>
        <source>A run that was timed</source>
        <translation>Un parcours chronométré</translation>
    </message>
    <message>
        <source>time</source>
        <translation>temps</translation>
    </message>
    <message>
        <source>speed at its end</source>
        <translation>vitesse finale</translation>
    </message>
    <message>
        <source>What is fitted to it</source>
        <translation>Ce qui y est ajusté</translation>
    </message>
    <message>
        <source>drag area</source>
        <translation>S·Cx</translation>
    </message>
    <message>
        <source>launch</source>
        <translation>départ</translation>
    </message>
    <message>
        <source>Fit</source>
        <translation>Ajuster</translation>
    </message>
    <message>
        <source>what is fitted</source>
        <translation>à ajuster</translation>
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
        <translation>Journée</translation>
    </message>
    <message>
        <source>Open, import, save, undo</source>
        <translation>Ouvrir, importer, sauver, annuler</translation>
    </message>
    <message>
        <source>working …</source>
        <translation>calcul …</translation>
    </message>
    <message>
        <source>Air</source>
        <translation>Air</translation>
    </message>
    <message>
        <source>Correction standard of every figure</source>
        <translation>Norme de correction de chaque chiffre</translation>
    </message>
    <message>
        <source>Boost</source>
        <translation>Suralim.</translation>
    </message>
    <message>
        <source>What the air factor does on a boosted engine; kept with the day</source>
        <translation>Ce que fait le facteur d&apos;air sur un moteur suralimenté ; gardé avec la journée</translation>
    </message>
    <message>
        <source>Smoothing</source>
        <translation>Lissage</translation>
    </message>
    <message>
        <source>Width of the local regression</source>
        <translation>Largeur de la régression locale</translation>
    </message>
    <message>
        <source>Drift</source>
        <translation>Dérive</translation>
    </message>
    <message>
        <source>How far drift may have been anything but a straight line</source>
        <translation>De combien la dérive a pu s&apos;écarter d&apos;une droite</translation>
    </message>
    <message>
        <source>Units</source>
        <translation>Unités</translation>
    </message>
    <message>
        <source>Units of every figure</source>
        <translation>Unités de chaque chiffre</translation>
    </message>
    <message>
        <source>%1 rpm</source>
        <translation>%1 rpm</translation>
    </message>
    <message>
        <source>Correct boosted engines: %1</source>
        <translation>Corriger les moteurs suralimentés : %1</translation>
    </message>
    <message>
        <source> · edited</source>
        <translation> · modifié</translation>
    </message>
    <message>
        <source>%1&#xa0;%</source>
        <translation>%1&#xa0;%</translation>
    </message>
    <message>
        <source>own rule</source>
        <translation>propre règle</translation>
    </message>
    <message>
        <source>full</source>
        <translation>entier</translation>
    </message>
    <message>
        <source>none</source>
        <translation>aucun</translation>
    </message>
    <message>
        <source>temp. only</source>
        <translation>temp. seule</translation>
    </message>
</context>
<context>
    <name>hillrun::Tour</name>
    <message>
        <source>The answer, in one sentence: what the change gives, where, and how sure that is. When nobody can tell yet, it says so, and what would settle it.</source>
        <translation>La réponse, en une phrase : ce qu&apos;apporte le changement, où, et à quel point c&apos;est sûr. Quand nul ne peut encore le dire, elle le dit, et ce qui trancherait.</translation>
    </message>
    <message>
        <source>The curves and, below them, the difference with its band. Drag across the curves to ask about a range; X swaps the builds, Q shows the torque.</source>
        <translation>Les courbes et, dessous, la différence avec sa bande. Tirer à travers les courbes interroge une plage ; X échange les montages, Q montre le couple.</translation>
    </message>
    <message>
        <source>The day in the order it happened. Each flag is a pull; a dot asks you to look. Click one, and every page shows it.</source>
        <translation>La journée dans l&apos;ordre où elle s&apos;est faite. Chaque drapeau est un passage ; un point demande de regarder. Un clic le montre sur chaque page.</translation>
    </message>
    <message>
        <source>Check: every pull against its set, with what was found on it. S sets one aside with a reason, Ctrl+Z takes anything back.</source>
        <translation>Vérifier : chaque passage contre sa série, avec ce qui y a été trouvé. S en écarte un avec une raison, Ctrl+Z reprend tout.</translation>
    </message>
    <message>
        <source>Prepare: the builds and what differs between them, the order of the pulls, and whether this plan can see what you look for, before the first pull.</source>
        <translation>Préparer : les montages et ce qui les distingue, l&apos;ordre des passages, et si ce plan peut voir ce que vous cherchez, avant le premier passage.</translation>
    </message>
    <message>
        <source>Pull: connect the cell, press A, and every pull is found, recorded and kept. Afterwards the slip says what looks wrong.</source>
        <translation>Passer : relier le banc, presser A, et chaque passage est trouvé, enregistré et gardé. Ensuite le billet dit ce qui paraît faux.</translation>
    </message>
    <message>
        <source>Report: the sheet as it will print. That was all; Ctrl+K finds every command.</source>
        <translation>Feuille : telle qu&apos;elle s&apos;imprimera. C&apos;était tout ; Ctrl+K trouve chaque commande.</translation>
    </message>
    <message>
        <source>Back</source>
        <translation>Retour</translation>
    </message>
    <message>
        <source>Next</source>
        <translation>Ensuite</translation>
    </message>
    <message>
        <source>Tour</source>
        <translation>Visite</translation>
    </message>
    <message>
        <source>Leave the tour</source>
        <translation>Quitter la visite</translation>
    </message>
    <message>
        <source>%1 of %2</source>
        <translation>%1 sur %2</translation>
    </message>
    <message>
        <source>Done</source>
        <translation>Fini</translation>
    </message>
</context>
<context>
    <name>hillrun::TraceAxesPanel</name>
    <message>
        <source>Speed axis, rpm</source>
        <translation>Axe des régimes, rpm</translation>
    </message>
    <message>
        <source>Left axis</source>
        <translation>Axe gauche</translation>
    </message>
    <message>
        <source>Right axis</source>
        <translation>Axe droit</translation>
    </message>
    <message>
        <source>lower mark of the %1</source>
        <translation>marque basse : %1</translation>
    </message>
    <message>
        <source>upper mark of the %1</source>
        <translation>marque haute : %1</translation>
    </message>
    <message>
        <source>Set</source>
        <translation>Fixer</translation>
    </message>
    <message>
        <source>Set the %1</source>
        <translation>Fixer : %1</translation>
    </message>
</context>
<context>
    <name>hillrun::TraceDialog</name>
    <message>
        <source>Trace curves from %1</source>
        <translation>Relever des courbes de %1</translation>
    </message>
    <message>
        <source>Lines</source>
        <translation>Lignes</translation>
    </message>
    <message>
        <source>Another line</source>
        <translation>Autre ligne</translation>
    </message>
    <message>
        <source>Remove</source>
        <translation>Enlever</translation>
    </message>
    <message>
        <source>The sheet is like that: take it all the same</source>
        <translation>La feuille est ainsi : la prendre quand même</translation>
    </message>
    <message>
        <source>Follow the colour</source>
        <translation>Suivre la couleur</translation>
    </message>
    <message>
        <source>Point by point</source>
        <translation>Point par point</translation>
    </message>
    <message>
        <source>Cut an end off</source>
        <translation>Couper un bout</translation>
    </message>
    <message>
        <source>Page of the document</source>
        <translation>Page du document</translation>
    </message>
    <message>
        <source>page </source>
        <translation>page </translation>
    </message>
    <message>
        <source>Cancel</source>
        <translation>Abandonner</translation>
    </message>
    <message>
        <source>Take the curves</source>
        <translation>Prendre les courbes</translation>
    </message>
    <message>
        <source> of %1</source>
        <translation> sur %1</translation>
    </message>
    <message>
        <source>What was traced would be lost. Cancel once more to leave it.</source>
        <translation>Ce qui a été relevé serait perdu. Abandonner encore une fois le quitte.</translation>
    </message>
    <message>
        <source>%1 rpm</source>
        <translation>%1 rpm</translation>
    </message>
    <message>
        <source>right %1</source>
        <translation>droite %1</translation>
    </message>
    <message>
        <source>left %1</source>
        <translation>gauche %1</translation>
    </message>
</context>
<context>
    <name>hillrun::TraceLens</name>
    <message>
        <source>The pixels around the pointer</source>
        <translation>Les points autour du pointeur</translation>
    </message>
    <message>
        <source>Lens: what the pointer is on</source>
        <translation>Loupe : ce que vise le pointeur</translation>
    </message>
</context>
<context>
    <name>hillrun::TraceLineTable</name>
    <message>
        <source>build</source>
        <translation>montage</translation>
    </message>
    <message>
        <source>shows</source>
        <translation>montre</translation>
    </message>
    <message>
        <source>axis</source>
        <translation>axe</translation>
    </message>
    <message>
        <source>points</source>
        <translation>points</translation>
    </message>
    <message>
        <source>Lines of the sheet</source>
        <translation>Lignes de la feuille</translation>
    </message>
    <message>
        <source>none yet</source>
        <translation>aucune encore</translation>
    </message>
    <message>
        <source>build of line %1</source>
        <translation>montage de la ligne %1</translation>
    </message>
    <message>
        <source>what line %1 shows</source>
        <translation>ce que montre la ligne %1</translation>
    </message>
    <message>
        <source>torque, %1</source>
        <translation>couple, %1</translation>
    </message>
    <message>
        <source>power, %1</source>
        <translation>puissance, %1</translation>
    </message>
    <message>
        <source>axis of line %1</source>
        <translation>axe de la ligne %1</translation>
    </message>
    <message>
        <source>left</source>
        <translation>gauche</translation>
    </message>
    <message>
        <source>right</source>
        <translation>droit</translation>
    </message>
</context>
<context>
    <name>hillrun::TraceView</name>
    <message>
        <source>The sheet. Arrow keys move the pointer, Enter points.</source>
        <translation>La feuille. Les flèches déplacent le pointeur, Entrée pointe.</translation>
    </message>
    <message>
        <source>mark %1 at %2, %3</source>
        <translation>marque %1 à %2, %3</translation>
    </message>
    <message>
        <source>line %1: %2 points</source>
        <translation>ligne %1 : %2 points</translation>
    </message>
    <message>
        <source>pointer at %1, %2</source>
        <translation>pointeur à %1, %2</translation>
    </message>
    <message>
        <source>nothing marked yet</source>
        <translation>rien de marqué encore</translation>
    </message>
</context>
<context>
    <name>hillrun::TypedCurveDialog</name>
    <message>
        <source>Type a curve</source>
        <translation>Saisir une courbe</translation>
    </message>
    <message>
        <source>Type or paste what the sheet says. Peaks alone will do: power at one speed, torque at another.</source>
        <translation>Saisir ou coller ce que dit la feuille. Les maxima suffisent : puissance à un régime, couple à un autre.</translation>
    </message>
    <message>
        <source>engine speed, rpm</source>
        <translation>régime moteur, rpm</translation>
    </message>
    <message>
        <source>power</source>
        <translation>puissance</translation>
    </message>
    <message>
        <source>torque</source>
        <translation>couple</translation>
    </message>
    <message>
        <source>Points of the curve</source>
        <translation>Points de la courbe</translation>
    </message>
    <message>
        <source>The sheet is like that: take it all the same</source>
        <translation>La feuille est ainsi : la prendre quand même</translation>
    </message>
    <message>
        <source>Build</source>
        <translation>Montage</translation>
    </message>
    <message>
        <source>Build of the curve</source>
        <translation>Montage de la courbe</translation>
    </message>
    <message>
        <source>Power in</source>
        <translation>Puissance en</translation>
    </message>
    <message>
        <source>Unit of the power</source>
        <translation>Unité de la puissance</translation>
    </message>
    <message>
        <source>torque in</source>
        <translation>couple en</translation>
    </message>
    <message>
        <source>Unit of the torque</source>
        <translation>Unité du couple</translation>
    </message>
    <message>
        <source>Paste</source>
        <translation>Coller</translation>
    </message>
    <message>
        <source>Cancel</source>
        <translation>Abandonner</translation>
    </message>
    <message>
        <source>Take the curve</source>
        <translation>Prendre la courbe</translation>
    </message>
    <message>
        <source>Power, %1, and torque, %2</source>
        <translation>Puissance, %1, et couple, %2</translation>
    </message>
    <message>
        <source>rpm</source>
        <translation>rpm</translation>
    </message>
    <message>
        <source>Type at least two points.</source>
        <translation>Saisir au moins deux points.</translation>
    </message>
    <message>
        <source>Say which build the curve belongs to.</source>
        <translation>Dire à quel montage la courbe appartient.</translation>
    </message>
</context>
<context>
    <name>hillrun::UseDialog</name>
    <message>
        <source>What the builds are wanted for</source>
        <translation>À quoi servent les montages</translation>
    </message>
    <message>
        <source>The speeds that count. Averages, which build is best and what each part gives are worked out over them.</source>
        <translation>Les régimes qui comptent. Les moyennes, le meilleur montage et ce que donne chaque pièce sont calculés sur eux.</translation>
    </message>
    <message>
        <source>Whole range</source>
        <translation>Toute la plage</translation>
    </message>
    <message>
        <source>The day has pulls already: the use is marked as chosen after looking.</source>
        <translation>La journée a déjà des passages : l&apos;usage est marqué comme choisi après avoir regardé.</translation>
    </message>
    <message>
        <source>Take it</source>
        <translation>Prendre</translation>
    </message>
    <message>
        <source>Go back</source>
        <translation>Revenir</translation>
    </message>
    <message>
        <source>Lowest speed that counts</source>
        <translation>Régime le plus bas qui compte</translation>
    </message>
    <message>
        <source>Highest speed that counts</source>
        <translation>Régime le plus haut qui compte</translation>
    </message>
    <message>
        <source>to</source>
        <translation>à</translation>
    </message>
    <message>
        <source>From</source>
        <translation>De</translation>
    </message>
    <message>
        <source>The speed that is held</source>
        <translation>Le régime tenu</translation>
    </message>
    <message>
        <source>By how much it goes up and down</source>
        <translation>De combien il monte et descend</translation>
    </message>
    <message>
        <source>One speed held</source>
        <translation>Un régime tenu</translation>
    </message>
    <message>
        <source>Gear</source>
        <translation>Rapport</translation>
    </message>
    <message>
        <source>Shift to shift in gear</source>
        <translation>De passage à passage, rapport</translation>
    </message>
    <message>
        <source>needs the article&apos;s gears and red line</source>
        <translation>demande les rapports et le régime maximal de l&apos;objet d&apos;essai</translation>
    </message>
    <message>
        <source>Each speed as much as it counts</source>
        <translation>Chaque régime autant qu&apos;il compte</translation>
    </message>
    <message>
        <source>%1 rpm</source>
        <translation>%1 rpm</translation>
    </message>
    <message>
        <source>Course</source>
        <translation>Parcours</translation>
    </message>
    <message>
        <source>Driven on</source>
        <translation>Roulé sur</translation>
    </message>
    <message>
        <source>needs curves: make the first pulls</source>
        <translation>demande des courbes : faire les premiers passages</translation>
    </message>
</context>
<context>
    <name>hillrun::VehiclePanel</name>
    <message>
        <source>mass</source>
        <translation>masse</translation>
    </message>
    <message>
        <source>driver</source>
        <translation>conducteur</translation>
    </message>
    <message>
        <source>tyre radius</source>
        <translation>rayon du pneu</translation>
    </message>
    <message>
        <source>final drive</source>
        <translation>pont</translation>
    </message>
    <message>
        <source>drag area</source>
        <translation>S·Cx</translation>
    </message>
    <message>
        <source>rolling</source>
        <translation>roulement</translation>
    </message>
    <message>
        <source>tyre grip</source>
        <translation>adhérence</translation>
    </message>
    <message>
        <source>driveline</source>
        <translation>transmission</translation>
    </message>
    <message>
        <source>a shift</source>
        <translation>un passage</translation>
    </message>
    <message>
        <source>launch</source>
        <translation>départ</translation>
    </message>
    <message>
        <source>front share</source>
        <translation>part avant</translation>
    </message>
    <message>
        <source>wheelbase</source>
        <translation>empattement</translation>
    </message>
    <message>
        <source>height of mass</source>
        <translation>hauteur du centre</translation>
    </message>
    <message>
        <source>Vehicle</source>
        <translation>Véhicule</translation>
    </message>
    <message>
        <source>Driven axle</source>
        <translation>Essieu moteur</translation>
    </message>
    <message>
        <source>front</source>
        <translation>avant</translation>
    </message>
    <message>
        <source>rear</source>
        <translation>arrière</translation>
    </message>
    <message>
        <source>all</source>
        <translation>tous</translation>
    </message>
    <message>
        <source>driven</source>
        <translation>moteur</translation>
    </message>
    <message>
        <source>Change the driven axle</source>
        <translation>Modifier l&apos;essieu moteur</translation>
    </message>
    <message>
        <source>Change the vehicle: %1</source>
        <translation>Modifier le véhicule : %1</translation>
    </message>
    <message>
        <source>converter stall</source>
        <translation>calage du conv.</translation>
    </message>
    <message>
        <source>its torque ratio</source>
        <translation>rapport du conv.</translation>
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
        <translation>La journée est calculée …</translation>
    </message>
    <message>
        <source>No day is open. Press Ctrl+O to open one.</source>
        <translation>Aucune journée n&apos;est ouverte. Ctrl+O en ouvre une.</translation>
    </message>
</context>
<context>
    <name>hillrun::WeightBars</name>
    <message>
        <source>Draw with the pointer. Left and Right choose a speed, Up and Down or a digit set how much it counts.</source>
        <translation>Dessiner avec le pointeur. Gauche et Droite choisissent un régime, Haut et Bas ou un chiffre règlent combien il compte.</translation>
    </message>
    <message>
        <source>How much each speed counts</source>
        <translation>Combien compte chaque régime</translation>
    </message>
    <message>
        <source>%1 rpm: %2 of %3</source>
        <translation>%1 rpm : %2 sur %3</translation>
    </message>
</context>
<context>
    <name>hillrun::WindowsPanel</name>
    <message>
        <source>Windows at the start</source>
        <translation>Fenêtres au départ</translation>
    </message>
    <message>
        <source>Add</source>
        <translation>Ajouter</translation>
    </message>
    <message>
        <source>A temperature that must be inside a window before a pull; 5 to 8 degrees wide is usual</source>
        <translation>Une température qui doit être dans une fenêtre avant un passage ; 5 à 8 degrés de large est usuel</translation>
    </message>
    <message>
        <source>Add a window</source>
        <translation>Ajouter une fenêtre</translation>
    </message>
    <message>
        <source>Low end</source>
        <translation>Bas</translation>
    </message>
    <message>
        <source>High end</source>
        <translation>Haut</translation>
    </message>
    <message>
        <source>Remove this window</source>
        <translation>Enlever cette fenêtre</translation>
    </message>
    <message>
        <source>Change a window</source>
        <translation>Changer une fenêtre</translation>
    </message>
    <message>
        <source>Remove a window</source>
        <translation>Enlever une fenêtre</translation>
    </message>
    <message>
        <source>None yet. Coolant and oil inside 5 to 8 degrees make pulls comparable.</source>
        <translation>Aucune encore. Eau et huile dans 5 à 8 degrés rendent les passages comparables.</translation>
    </message>
</context>
</TS>
