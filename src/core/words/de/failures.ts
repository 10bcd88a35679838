import type { FailureCode } from "../en/failures";

const NOTHING = "Nichts wurde geändert.";
const UNSENT = "Nichts wurde gesendet.";

export const FAILURES: Record<FailureCode, string> = {
  language_unknown:
    "Diese Sprache spricht Fastigo nicht. Nichts wurde geändert: Wähle Deutsch, Englisch oder Spanisch.",
  invalid: `Das ließ sich nicht lesen. ${NOTHING} Lade die Seite neu und versuch es noch einmal.`,
  bad_json: `Die Anfrage brach ab oder wurde nicht verstanden. ${NOTHING} Versuch es noch einmal.`,
  too_large: `Das ist größer, als passt. ${NOTHING}`,
  bad_characters: `Ein Text enthält Steuerzeichen, die sich nicht speichern lassen. ${NOTHING} Nimm sie heraus, oder schreib ihn neu.`,
  bad_address: `Diese Adresse ist keine von Fastigo: Sie enthält Zeichen, die keine Adresse hat. ${NOTHING}`,
  too_much: "Das ist mehr, als passt.",
  page_password_missing: `Schreib das Passwort, nach dem Lesende gefragt werden sollen. ${NOTHING} Mit Passwort veröffentlicht wird erst, wenn es eins hat.`,
  wrong_page_password: "Das ist nicht das Passwort dieser Seite. Prüfe es, oder frag, wer dir den Link gegeben hat.",
  page_slow_down:
    "Hier wurden gerade sehr viele Passwörter versucht, darum wird eine Weile keins angesehen. Warte eine Minute und versuch es noch einmal.",
  word_malformed: `Ein kurzer Link nimmt ein Wort aus 3 bis 40 Buchstaben und Ziffern, mit Bindestrichen dazwischen, wie ueber-den-ambrel. ${NOTHING}`,
  word_taken: `Eine andere Zeitleiste hat dieses Wort schon. Wähle ein anderes. ${NOTHING}`,
  words_full: `Diese Seite hatte schon zehn Wörter, und so viele führen zu einer Seite. ${NOTHING}`,
  closes_before_it_opens: `Es wäre vorbei, bevor es öffnet. Wähle ein späteres Ende oder einen früheren Anfang. ${NOTHING}`,
  site_malformed: `Eine davon ist keine Adresse einer Website. Sie sieht aus wie https://schule.example. ${NOTHING}`,
  copies_not_allowed: "Wer sie gemacht hat, lässt andere nicht damit beginnen. Nichts wurde kopiert; frag dort nach.",
  mail_malformed: `Eine davon ist keine E-Mail-Adresse. Schreib bis zu 20, jede wie name@schule.example, mit Kommas dazwischen. ${UNSENT}`,
  mail_needs_email: `Mail geht in deinem Namen hinaus, und dein Konto hat keine E-Mail-Adresse für Antworten. Kopiere stattdessen den Link, oder trag unter deinem Konto eine Adresse ein. ${UNSENT}`,
  report_empty: "Sag in ein paar Worten, was daran nicht stimmt. Noch wurde nichts gesendet.",
  operator_only: "Hier ist nichts, was du sehen darfst.",
  no_such_colleague: `Kein Konto hat diese E-Mail-Adresse. Lass zuerst eins anlegen, oder prüfe die Schreibweise. ${NOTHING}`,
  student_here:
    "Diese Person lernt in der Klasse und kann sie nicht auch unterrichten. Nimm sie zuerst aus der Klasse heraus.",
  leads_already: "Diese Person leitet die Klasse schon.",
  lead_stays:
    "Wer eine Klasse leitet, bleibt darin, damit sie nie niemandem gehört. Gib die Leitung zuerst an eine andere ihrer Lehrkräfte.",
  lead_only: `Das kann nur, wer die Klasse leitet. ${NOTHING}`,
  roster_too_long:
    "Eine Klasse fasst bis zu 300 Lernende, und mit dieser Liste wären es mehr. Niemand wurde aufgenommen; mach aus jedem Teil eine Klasse.",
  roster_name_missing:
    "Die Liste hat eine Zeile ohne Namen oder ist leer. Niemand wurde aufgenommen; schreib einen Namen pro Zeile.",
  year_over:
    "Das Jahr dieser Klasse ist vorbei: Es wird nichts mehr begonnen oder abgegeben. Was du gemacht hast, bleibt und gehört dir.",
  groups_by_teacher: "Hierfür bildet deine Lehrkraft die Gruppen. Warte darauf, oder frag; nichts wurde begonnen.",
  works_alone: "Bei dieser Aufgabe arbeiten alle allein, darum wird niemand in eine Gruppe genommen.",
  groups_empty: "In diesen Gruppen ist niemand. Nimm zuerst Lernende hinein; nichts wurde gebildet.",
  twice_in_groups: "Jemand steht in zweien dieser Gruppen. Nimm die Person aus einer heraus; nichts wurde gebildet.",
  begun_meanwhile:
    "Jemand aus diesen Gruppen hat inzwischen begonnen oder die Klasse verlassen. Keine Gruppe wurde gebildet; lade die Seite neu und zieh sie noch einmal.",
  extension_not_later: `Mehr Zeit heißt: ein Tag und eine Uhrzeit nach dem Termin für alle. ${NOTHING}`,
  no_such_time: `Das ist kein Tag mit Uhrzeit. Wähle einen aus dem Feld. ${NOTHING}`,
  too_late_to_submit:
    "Der Termin ist vorbei, und deine Lehrkraft nimmt danach nichts an. Deine Zeitleiste bleibt; bitte deine Lehrkraft um mehr Zeit.",
  assistants_comment:
    "Wer mithilft, kommentiert und gibt keine Noten. Punkte und Stufen blieben, wie sie waren; frag eine der Lehrkräfte.",
  marked_meanwhile:
    "Jemand anderes hat diese Arbeit inzwischen bewertet. Das gilt, und nichts wurde überschrieben; deins ist auf dieser Seite aufgehoben. Lade neu, um das andere zu sehen.",
  mark_needs_reason:
    "Diese Note wurde schon zurückgegeben. Sag, warum sie geändert wird: Die Gruppe liest den Grund, und die Note davor bleibt aufgehoben.",
  not_returned_yet: `Darauf lässt sich antworten, sobald es zurückgegeben ist, und bis zu hundertmal. ${UNSENT}`,
  altered_archive:
    "Die Klasse in diesem Archiv passt nicht zu ihren eigenen Quittungen: Was abgegeben wurde, ist verändert worden, nachdem seine Prüfsumme genommen war. Die Klasse wurde nicht zurückgebracht.",
  not_empty:
    "In dieser Zeitleiste wurde schon etwas geschrieben, deshalb kann kein Verlauf in sie zurückgebracht werden. Nichts wurde geändert.",
  owner_stays: `Eine Zeitleiste gehört immer jemandem. Gib sie zuerst an jemanden weiter, der sie bearbeitet, unter Teilen. ${NOTHING}`,
  group_edits: `Das ist die Arbeit einer Gruppe, und wer dazugehört, bearbeitet sie. Nimm stattdessen das Recht, oder lass es. ${NOTHING}`,
  group_writes: `Das ist die Arbeit einer Gruppe, und nur ihre Mitglieder schreiben darin. ${NOTHING}`,
  call_over: "Hier wird um nichts mehr gebeten, darum wurde das nicht gesendet. Frag, wer dir den Link gegeben hat.",
  call_full: `Hier warten sehr viele Ereignisse darauf, angesehen zu werden, darum werden gerade keine angenommen. Versuch es in einem Tag noch einmal. ${UNSENT}`,
  sender_missing: "Schreib einen Namen, wie du genannt werden möchtest; noch wurde nichts gesendet.",
  event_gone:
    "Dieses Ereignis wurde inzwischen gelöscht, darum lässt sich nichts daran tun. Lass den Vorschlag weg, oder hol das Ereignis zuerst zurück.",
  nothing_suggested: `Es sagt, was schon da steht. Ändere zuerst etwas. ${UNSENT}`,
  event_untitled: "Sag in ein paar Worten, was geschah; das Ereignis wurde noch nicht gespeichert.",
  not_of_class: `Das ist Arbeit für eine Klasse, und vor der Veröffentlichung dürfen nur ihre Lehrkräfte und Lernenden sie sehen. ${NOTHING}`,
  invitation_over:
    "Dieser Link galt bis zu einem Tag, der vorbei ist. Lass dir von derselben Person einen neuen geben.",
  end_is_past: `Tag und Uhrzeit, bis wann er gilt, sind schon vorbei. Wähle spätere. ${UNSENT}`,
  nobody_of_that_name: `Niemand dieses Namens ist mit dir in einer Klasse. Schreib eine E-Mail-Adresse, oder gib einen Link. ${UNSENT}`,
  several_of_that_name: `Mehrere in deinen Klassen heißen so. Schreib eine E-Mail-Adresse, oder gib einen Link. ${UNSENT}`,
  remark_empty: `Schreib zuerst ein paar Worte. ${UNSENT}`,
  remarks_full: `Dazu gibt es schon 500 Kommentare, und mehr passen nicht. Lösche welche, oder sag es anderswo. ${UNSENT}`,
  remark_gone: "Dieser Kommentar wurde inzwischen gelöscht. Was du geschrieben hast, steht noch im Feld.",
  no_such_platform: `Diese Lernplattform ist hier nicht bekannt. Bitte die Betreuung von Fastigo an deiner Schule, sie einzutragen. ${NOTHING}`,
  bad_launch:
    "Was deine Lernplattform sandte, ließ sich nicht bestätigen, darum wurde niemand angemeldet. Öffne den Link auf der Plattform noch einmal; hilft das nicht, sag es ihrer Verwaltung.",
  launch_over:
    "Dieser Weg von deiner Lernplattform wurde schon benutzt oder hat zu lange gedauert. Öffne den Link auf der Plattform noch einmal.",
  launch_elsewhere:
    "Dieser Weg wurde in einem anderen Browser begonnen, oder dieser nimmt keine Cookies von hier. Öffne den Link auf der Plattform noch einmal, in einem eigenen Fenster.",
  no_course:
    "Deine Lernplattform hat nicht gesagt, welcher Kurs das ist, darum gibt es keine Klasse zu öffnen. Sag es ihrer Verwaltung.",
  course_not_opened: `Deine Lehrkraft muss diesen Kurs einmal von der Lernplattform aus in Fastigo öffnen, bevor du es kannst. ${NOTHING}`,
  platform_silent: `Die Lernplattform antwortet nicht, oder nicht so, wie sie sollte. ${NOTHING} Versuch es in ein paar Minuten noch einmal.`,
  no_second_teacher:
    "Niemand sonst unterrichtet diese Klasse, darum kann niemand als Zweites bewerten. Nimm zuerst auf der Seite der Klasse jemanden auf.",
  marked_by_you: `Du hast diese Arbeit als Erstes bewertet, darum bewertet jemand anderes sie als Zweites. ${NOTHING}`,
  too_few_to_review:
    "Mindestens zwei Gruppen müssen abgeben, bevor jemand eine andere Arbeit lesen kann. Nichts wurde ausgeteilt.",
  review_empty: `Wähle eine Stufe oder schreib ein paar Worte. ${UNSENT}`,
  reply_empty: `Schreib eine Antwort von bis zu 2.000 Zeichen. ${UNSENT}`,
  question_empty: `Schreib ein paar Worte, bis zu 2.000 Zeichen. ${UNSENT}`,
  questions_full: `Hier wurden hundert Fragen gestellt, und mehr werden nicht aufgehoben. ${UNSENT} Frag im Unterricht.`,
  rubric_name_missing:
    "Gib dem Bewertungsraster einen Namen, unter dem es zu finden ist. Es wurde noch nicht aufgehoben.",
  rubrics_full:
    "Du hast 60 Bewertungsraster aufgehoben, und mehr passen nicht. Lösche eins, das du nicht mehr brauchst.",
  comment_empty: "Ein Kommentar zum Aufheben hat bis zu 1.000 Zeichen. Nichts wurde aufgehoben.",
  comments_full: "Du hast 200 Kommentare aufgehoben, und mehr passen nicht. Lösche einen, den du nicht mehr benutzt.",
  practice_small:
    "Eine Übung braucht mindestens drei Ereignisse mit Titel und Datum, und diese Zeitleiste hat weniger von der gewählten Art. Nichts wurde gegeben; füg Ereignisse hinzu, oder nimm auch Teile und Spannen.",
  practices_full:
    "Diese Klasse hat 200 Übungen, und mehr werden nicht aufgehoben. Diese wurde nicht gegeben; nimm eine zurück, die vorbei ist.",
  practice_incomplete:
    "Nicht jedes Ereignis dieser Übung wurde gelegt, darum wurde nichts geprüft und nichts gesendet. Leg die anderen, und prüfe noch einmal.",
  looks_full:
    "Du hast 100 Aussehen gespeichert, und mehr werden nicht aufgehoben. Dieses wurde nicht gespeichert; lösche eins, das du nicht mehr brauchst, oder nimm es als Datei heraus.",
  teacher_only:
    "Nur die Lehrkräfte einer Klasse heben Aussehen für sie auf. Nichts wurde gespeichert; speichere es stattdessen für dich.",
  too_slow:
    "Das dauert dem Server zu lange und wurde abgebrochen. Was vorher gespeichert wurde, ist aufgehoben. Mach die Zeitleiste kleiner, und versuch es in ein paar Minuten noch einmal.",
  busy: "Sehr viele fragen das gerade auf einmal. Nichts ging verloren; versuch es gleich noch einmal.",
  cannot_draw:
    "Diese Zeitleiste lässt sich nicht zeichnen, und das ist unser Fehler. Ihre Ereignisse sind da und lassen sich im Editor öffnen.",
  disk_full:
    "Der Speicher des Servers ist voll, darum lässt sich gerade nichts speichern. Was du geschrieben hast, ist in diesem Browser aufgehoben und wird noch einmal gesendet; sag es der Betreuung dieses Servers.",
  no_database:
    "Fastigo erreicht seine Daten gerade nicht. Was du geschrieben hast, ist in diesem Browser aufgehoben; versuch es in einer Minute noch einmal.",
  other_origin: "Diese Anfrage kam von einer anderen Website und wurde abgelehnt.",
  sign_in_first: "Melde dich zuerst an. Was du geschrieben hast, ist in diesem Browser aufgehoben.",
  not_found: "Hier ist nichts, was du sehen darfst. Bitte um einen Link, oder melde dich mit einem anderen Konto an.",
  owner_only: `Das kann nur, wem die Zeitleiste gehört. ${NOTHING}`,
  change_taken:
    "Eine Änderung mit dieser Nummer gibt es schon mit anderem Inhalt. Deine ist in diesem Browser aufgehoben; lade neu, um weiterzumachen.",
  email_taken: "Es gibt ein Konto mit dieser E-Mail-Adresse. Melde dich stattdessen an, oder nimm eine andere Adresse.",
  display_name_missing: "Schreib einen Anzeigenamen von 1 bis 60 Zeichen. Es muss nicht dein richtiger Name sein.",
  email_malformed: "Das ist keine E-Mail-Adresse. Sie sieht aus wie name@schule.example.",
  password_short:
    "Ein Passwort braucht mindestens 8 Zeichen. Mehrere Wörter sind leicht zu merken und schwer zu erraten.",
  password_long: "Ein Passwort darf höchstens 200 Zeichen haben.",
  wrong_password: "Kein Konto hat diesen Namen und dieses Passwort. Prüfe beides und versuch es noch einmal.",
  step_code_needed: "Schreib den Code, den dein Gerät zeigt, oder einen der aufgeschriebenen Ersatzcodes.",
  wrong_step_code:
    "Das ist nicht der Code dieses Augenblicks und kein Ersatzcode. Schreib den, den dein Gerät jetzt zeigt.",
  step_code_used: "Dieser Code wurde schon genommen. Warte, bis dein Gerät den nächsten zeigt.",
  steps_on: "Codes sind schon eingeschaltet. Schalte sie zuerst aus, um mit einem anderen Gerät zu beginnen.",
  steps_not_begun: "Dieses Einrichten ist vorbei. Beginne es noch einmal.",
  one_address: "Schreib eine Adresse: Der Brief geht an eine Person.",
  no_such_provider: "Dieser Weg ist hier nicht eingerichtet. Melde dich mit Name und Passwort an.",
  provider_silent: "Die Anmeldung deiner Schule antwortet gerade nicht. Versuch es in einer Minute noch einmal.",
  sign_on_over: "Diese Anmeldung ist vorbei. Beginne sie noch einmal.",
  sign_on_elsewhere:
    "Diese Anmeldung wurde in einem anderen Browser begonnen, oder dieser behält keine Cookies. Beginne sie hier noch einmal.",
  sign_on_left: "Du wurdest nicht angemeldet: Es wurde bei der Anmeldung deiner Schule abgebrochen.",
  bad_sign_on:
    "Was die Anmeldung deiner Schule sagte, war nicht zu glauben, darum wurde niemand angemeldet. Beginne sie noch einmal.",
  bad_sign_out: "Was die Anmeldung sagte, war nicht zu glauben. Niemand wurde abgemeldet.",
  use_sign_on: "Deine Schule bittet dich, über ihre eigene Anmeldung hereinzukommen.",
  no_password_yet: `Dein Konto hat kein Passwort: Du kommst über deine Schule herein. Setz zuerst eins unter „Passwort“. ${NOTHING}`,
  sign_on_again:
    "Für ein erstes Passwort musst du gerade eben hereingekommen sein. Melde dich ab, komm über deine Schule herein, und setz es dann.",
  own_words: "Das sind deine eigenen Worte: Ändere sie oder nimm sie selbst zurück.",
  link_over:
    "Dieser Link gilt nicht mehr: Er wurde benutzt, ist zu alt, oder die Adresse hat sich geändert. Verlange einen neuen.",
  no_own_address: `Dein Konto hat keine E-Mail-Adresse. ${UNSENT}`,
  address_proven: `Diese Adresse ist schon bestätigt. ${UNSENT}`,
  slow_down: "Zu viele falsche Passwörter für dieses Konto. Warte einen Moment vor dem nächsten Versuch.",
  too_often: "Das wurde gerade sehr oft versucht. Nichts ging verloren; warte eine Minute vor dem nächsten Versuch.",
  password_common:
    "Dieses Passwort gehört zu denen, die zuerst versucht werden. Nimm ein anderes: drei oder vier Wörter, die nicht zusammengehören, zum Beispiel.",
  password_same: "Das Passwort darf nicht dein Name, deine Adresse oder der Klassencode sein. Nimm ein anderes.",
  wrong_own_password: `Dein jetziges Passwort ist ein anderes. ${NOTHING}`,
  quota_timeline: "Bilder, Videos und Töne dieser Zeitleiste füllen den Platz, den eine hat.",
  quota_person: "Deine Bilder, Videos und Töne füllen den Platz, den eine Person hat.",
  video_boxes:
    "Dieses Video ist in mehr Teile zerlegt, als Fastigo liest. Speichere es mit einem anderen Programm neu, als MP4 oder WebM.",
  upload_busy: "Diese Datei wird schon zusammengesetzt. Warte einen Moment, und frag dann noch einmal.",
  removed_before:
    "Du wurdest aus dieser Zeitleiste herausgenommen; der alte Link lässt dich nicht wieder hinein. Bitte um einen neuen.",
  due_out_of_range: "Der Termin muss zwischen den Jahren 2000 und 2200 liegen. Die Aufgabe wurde nicht gestellt.",
  folder_long:
    "Der Name eines Ordners fasst 60 Zeichen. Nichts wurde verschoben; kürze ihn und versuch es noch einmal.",
  title_long: "Ein Titel fasst 300 Zeichen. Nichts wurde gespeichert; kürze ihn und versuch es noch einmal.",
  text_long:
    "Einer der Texte ist länger, als passt. Er wurde nicht gespeichert und steht noch, wo du ihn geschrieben hast.",
  description_large:
    "Diese Beschreibung ist zu groß geworden. Was vorher gespeichert wurde, ist aufgehoben; kürze sie, um weiterzumachen.",
  not_an_update:
    "Die Beschreibung ließ sich nicht zusammenführen. Sie ist in diesem Browser aufgehoben; lade neu, um weiterzumachen.",
  no_such_media:
    "Dieses Bild oder diese Datei gehört nicht zu dieser Zeitleiste. Füg es aus seiner Datei noch einmal hinzu.",
  file_empty: "Diese Datei ist leer. Wähle eine andere.",
  no_video: "Nur ein Video hat ein Standbild. Das hier ist keins, und nichts wurde verändert.",
  file_kind:
    "Das ist kein Bild, Video oder Ton, den Fastigo zeigen kann, was auch immer der Name sagt. Nimm JPEG, PNG, WebP, AVIF, GIF, SVG, MP4, WebM, MP3, M4A, OGG oder WAV.",
  picture_unread:
    "Dieses Bild hat die Form, in der Telefone ihre aufheben (HEIC), und die lässt sich hier nicht lesen. Teile es vom Telefon als JPEG, oder stell die Kamera auf „maximale Kompatibilität“, und füg es noch einmal hinzu.",
  picture_large: "Ein Bild darf höchstens 20 MB haben. Speichere es kleiner und füg es noch einmal hinzu.",
  picture_pixels: "Dieses Bild hat mehr als 100 Millionen Pixel. Speichere es kleiner und füg es noch einmal hinzu.",
  picture_broken: "Dieses Bild ist beschädigt und lässt sich nicht öffnen. Speichere es noch einmal, wo es herkam.",
  address_no_media:
    "Unter dieser Adresse ist kein Bild, Video, Ton und keine Webseite, die Fastigo zeigen kann. Die Adresse steht noch, wo du sie geschrieben hast; nimm sie als Link, oder füg die Datei selbst hinzu.",
  embed_empty:
    "In dem, was du eingefügt hast, ist keine Webadresse. Kopiere die Adresse der Seite, ihres Videos oder Tons, oder den ganzen Code für andere Seiten, und füg ihn noch einmal ein.",
  player_unread:
    "Die Website hat nicht verständlich gesagt, wie das gespielt wird. Nichts wurde hinzugefügt; versuch es später noch einmal, oder füg ihre Seite als Link hinzu.",
  video_large:
    "Ein Video oder Ton darf höchstens 200 MB haben. Speichere es kürzer oder kleiner und füg es noch einmal hinzu.",
  piece_missing: "Ein Teil der Datei ist nicht angekommen. Was ankam, ist aufgehoben: Sende den Rest.",
  piece_size:
    "Dieser Teil der Datei hat die falsche Größe, weil die Anfrage abgeschnitten wurde. Was vorher ankam, ist aufgehoben: Sende ihn noch einmal.",
  address_malformed: "Das ist keine Webadresse. Sie beginnt mit https:// oder http://.",
  address_private:
    "Diese Adresse führt in ein privates Netz und wird nicht geholt. Speichere, was dort ist, und füg es als Datei hinzu.",
  address_unreachable:
    "Unter dieser Adresse hat nichts geantwortet. Speichere, was dort ist, und füg es als Datei hinzu.",
  address_no_picture:
    "Unter dieser Adresse ist kein Bild. Öffne das Bild selbst, kopiere seine Adresse, oder füg es als Datei hinzu.",
  address_no_table:
    "Unter dieser Adresse ist keine Tabelle, die sich lesen lässt. Öffne die Seite mit der Tabelle, oder die Datei selbst, und kopiere ihre Adresse.",
  address_large: "Was unter dieser Adresse ist, ist größer als 20 MB. Speichere es kleiner und füg es als Datei hinzu.",
  address_slow:
    "Die Adresse hat nicht innerhalb von 15 Sekunden ganz geantwortet. Speichere, was dort ist, und füg es als Datei hinzu.",
  invitation_ended: "Diese Einladung wurde geschlossen oder erneuert. Bitte um einen neuen Link.",
  nothing_to_publish: "Noch gibt es nichts zu veröffentlichen. Schreib zuerst einen Titel oder ein Ereignis.",
  beyond_class_limit:
    "Deine Klasse lässt Arbeiten für sie nur so weit veröffentlichen. Wähle weniger Lesende, oder frag deine Lehrkraft.",
  not_your_school:
    "An eine Schule lässt sich nur veröffentlichen, was in einer ihrer Klassen entstand oder von einer ihrer Lehrkräfte kommt. Wähle andere Lesende.",
  school_name_missing: "Gib der Schule einen Namen von bis zu 120 Buchstaben. Nichts wurde gespeichert.",
  school_needs_email:
    "Eine Schule führt jemand mit einer E-Mail-Adresse. Leg ein Konto mit einer an, und mach sie dort.",
  administrators_only: `Das kann nur die Verwaltung der Schule. ${NOTHING}`,
  last_administrator: `Eine Schule hat immer jemanden in der Verwaltung. Mach zuerst jemand anderen dazu, oder beende die Schule. ${NOTHING}`,
  account_of_their_own:
    "Dieses Konto entstand nicht in der Klasse, darum kann die Klasse es nicht löschen. Was die Klasse aufbewahrt, lässt sich auch so vernichten.",
  byline_names:
    "Die Klasse will auf Veröffentlichtem niemandes Namen. Lass unter Über die Autorenzeile leer oder nimm ein Pseudonym, und mach es noch einmal. Nichts wurde veröffentlicht.",
  voice_unread:
    "Das ist keine Aufnahme, die sich aufheben lässt, oder sie ist länger als fünf Minuten. Nichts wurde aufgehoben; nimm sie noch einmal auf.",
  not_your_class:
    "Nur die Lehrkraft einer Klasse kann ihr eine Zeitleiste geben, die nicht darin entstand. Wähle andere Lesende.",
  class_name_missing: "Schreib einen Namen für die Klasse, von 1 bis 80 Zeichen.",
  no_such_zone: `Eine Zeitzone dieses Namens gibt es nicht. Wähle eine aus der Liste. ${NOTHING}`,
  in_use_elsewhere: `Diese Zeitleiste gehört schon zu einer Aufgabe. Wähle eine andere, oder beginne neu. ${NOTHING}`,
  not_yours_alone: `Für eine Aufgabe kann eine Zeitleiste nur nehmen, wem sie gehört. ${NOTHING}`,
  not_to_improve:
    "Das wurde schon abgegeben. Es lässt sich wieder abgeben, wenn deine Lehrkraft es zum Verbessern zurückgibt.",
  no_such_code: "Keine Klasse hat gerade diesen Code. Prüfe ihn, oder frag deine Lehrkraft nach dem neuen.",
  code_over: "Dieser Code ist falsch, benutzt oder vorbei. Bitte deine Lehrkraft um einen neuen.",
  assignment_incomplete: "Die Aufgabe ist nicht vollständig und wurde nicht gestellt.",
  in_a_group: "Du hast diese Aufgabe schon begonnen. Öffne sie bei deinen Zeitleisten.",
  handed_in_and_deleted:
    "Du hast das abgegeben und die Zeitleiste danach gelöscht. Das Abgegebene liegt bei deiner Lehrkraft; hol die Zeitleiste innerhalb von 30 Tagen zurück, um daran weiterzuarbeiten.",
  not_a_classmate: "Beitreten kann nur jemand aus derselben Klasse, ohne diese Aufgabe anderswo begonnen zu haben.",
  nothing_to_submit: "Noch gibt es nichts abzugeben. Schreib zuerst ein Ereignis.",
  submitted_already: "Das wurde schon abgegeben. Vor dem Termin kannst du es zurücknehmen und noch einmal abgeben.",
  too_late_to_take_back:
    "Der Termin ist vorbei, die Arbeit ist zurückgegeben, oder das Abgeben hat die Arbeiten anderer geöffnet: Sie lässt sich nicht mehr zurücknehmen.",
  points_out_of_range: "Die Punkte müssen zwischen 0 und der Summe der Aufgabe liegen. Nichts wurde gespeichert.",
  returned_needs_points:
    "Das wurde mit Punkten zurückgegeben, darum braucht es Punkte. Gib stattdessen andere; davon wurde noch nichts gespeichert.",
  reason_missing: `Sag in einem Wort, warum es anders zählt; die Gruppe liest es. ${NOTHING}`,
  not_marked_yet: "Es hat noch keine Punkte. Gib eine Note, dann gib es zurück.",
  no_store:
    "Fastigo erreicht gerade den Ort nicht, an dem Dateien liegen. Was gesendet wurde, ist aufgehoben; versuch es in einer Minute noch einmal.",
  job_stopped: "Das wurde angehalten, bevor es fertig war. Nichts ging verloren; frag wieder, wenn du es willst.",
  broken:
    "Hier ist etwas schiefgegangen, nicht bei dir. Was du geschrieben hast, ist in diesem Browser aufgehoben; versuch es gleich noch einmal.",
};
