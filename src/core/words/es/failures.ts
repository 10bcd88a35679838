import type * as En from "../en/failures";
import type { Like } from "../like";

export const FAILURES: Like<typeof En.FAILURES> = {
  language_unknown: "Fastigo no habla este idioma. No se ha cambiado nada: elige español, inglés o alemán.",
  invalid: "Esto no se pudo leer, y no se ha cambiado nada. Recarga la página e inténtalo de nuevo.",
  bad_json: "La petición se cortó o no se entendió; no se ha cambiado nada. Inténtalo de nuevo.",
  too_large: "Esto es más grande de lo que cabe, y no se ha cambiado nada.",
  bad_characters:
    "Un texto contiene caracteres de control que no se pueden guardar, y no se ha cambiado nada. Quítalos, o escríbelo de nuevo.",
  bad_address:
    "Esta dirección no es de Fastigo: contiene caracteres que ninguna dirección tiene. No se ha cambiado nada.",
  too_much: "Es más de lo que cabe.",
  page_password_missing:
    "Escribe la contraseña que se pedirá a quienes lean. No se ha cambiado nada; no se publica con contraseña antes de tenerla.",
  wrong_page_password: "Esta no es la contraseña de esta página. Compruébala, o pregunta a quien te dio el enlace.",
  page_slow_down:
    "Aquí se han probado muchísimas contraseñas hace un momento, así que por un rato no se mira ninguna. Espera un minuto e inténtalo de nuevo.",
  word_malformed:
    "Un enlace corto es una palabra de 3 a 40 letras y cifras, con guiones en medio, como sobre-el-ambrel. No se ha cambiado nada.",
  word_taken: "Otra línea de tiempo ya tiene esta palabra. Elige otra; no se ha cambiado nada.",
  words_full: "Esta página ha tenido diez palabras, que son las que llevan a una página. No se ha cambiado nada.",
  closes_before_it_opens:
    "Se acabaría antes de abrirse. Elige un final posterior o un comienzo anterior; no se ha cambiado nada.",
  site_malformed:
    "Una de estas no es la dirección de un sitio. Un sitio es como https://school.example; no se ha cambiado nada.",
  copies_not_allowed: "Quien la hizo no deja que otros empiecen con ella. No se ha copiado nada; pregúntale.",
  mail_malformed:
    "Una de estas no es una dirección de correo. Escribe hasta 20, cada una como name@school.example, separadas por comas; no se ha enviado nada.",
  mail_needs_email:
    "El correo se envía en tu nombre, y tu cuenta no tiene dirección a la que responder. Copia el enlace, o añade una dirección en tu cuenta; no se ha enviado nada.",
  report_empty: "Di en pocas palabras qué le pasa a esta página. Aún no se ha enviado nada.",
  operator_only: "Aquí no hay nada que puedas ver, salvo que mantengas el sitio.",
  no_such_colleague:
    "Ninguna cuenta tiene esta dirección de correo. Pide a tu colega que cree antes una cuenta, o comprueba cómo se escribe; no se ha cambiado nada.",
  student_here: "Esta persona es del alumnado de la clase, y no puede además enseñarla. Sácala antes de la clase.",
  leads_already: "Esta persona ya dirige la clase.",
  lead_stays:
    "Quien dirige una clase se queda en ella, para que nunca sea de nadie. Pasa antes la dirección a otro de sus docentes.",
  lead_only: "Solo quien dirige la clase puede hacer esto. No se ha cambiado nada.",
  roster_too_long:
    "En una clase caben hasta 300 personas, y con esta lista tendría más. No se ha añadido a nadie; haz una clase de cada parte.",
  roster_name_missing:
    "La lista tiene una línea sin nombre, o está vacía. No se ha añadido a nadie; escribe un nombre por línea.",
  year_over:
    "El curso de esta clase ha terminado: ya no se empieza ni se entrega nada. Lo que hiciste se conserva y sigue siendo tuyo.",
  groups_by_teacher: "Para esto los grupos los hace tu docente. Espéralos, o pregunta; no se ha empezado nada.",
  works_alone: "En esta tarea cada cual trabaja por su cuenta, así que no se incorpora a nadie a un grupo.",
  groups_empty: "En estos grupos no hay nadie. Pon antes al alumnado en ellos; no se ha hecho nada.",
  twice_in_groups: "Alguien está en dos de estos grupos. Sácalo de uno; no se ha hecho nada.",
  begun_meanwhile:
    "Alguien de estos grupos ha empezado entretanto, o ha dejado la clase. No se ha hecho ningún grupo; recarga la página y sortéalos de nuevo.",
  extension_not_later: "Más tiempo significa un día y una hora después del plazo de todos. No se ha cambiado nada.",
  no_such_time: "Este no es un día y una hora. Elígelos en el campo; no se ha cambiado nada.",
  too_late_to_submit:
    "El plazo ha vencido, y tu docente no acepta nada después. Tu línea de tiempo está guardada; pídele más tiempo.",
  assistants_comment:
    "Los ayudantes comentan, y no califican. Los puntos y niveles se dejaron como estaban; pídelo a uno de los docentes.",
  marked_meanwhile:
    "Un colega ha calificado este trabajo entretanto. Vale lo suyo y no se ha escrito encima; lo tuyo se guarda en esta página. Recarga para ver lo suyo.",
  mark_needs_reason:
    "Esta calificación ya se devolvió. Di por qué se cambia: el grupo lee el motivo, y la anterior se conserva.",
  not_returned_yet: "Se puede responder cuando se haya devuelto, y hasta cien veces. No se ha enviado nada.",
  altered_archive:
    "La clase de este archivo no concuerda con sus propios resguardos: lo entregado se cambió después de tomar su huella. La clase no se ha recuperado.",
  not_empty:
    "En esta línea de tiempo ya se ha escrito algo, así que no se puede devolver a ella ningún historial. No se ha cambiado nada.",
  owner_stays:
    "Una línea de tiempo siempre tiene a alguien que la tiene. Pásala antes a alguien que la edite, en Compartir; no se ha cambiado nada.",
  group_edits:
    "Este es el trabajo de un grupo, y lo edita quien pertenece a él. Quita el derecho, o déjalo; no se ha cambiado nada.",
  group_writes: "Este es el trabajo de un grupo, y solo escriben en él sus miembros. No se ha cambiado nada.",
  call_over: "Aquí ya no se pide nada, así que esto no se ha enviado. Pregunta a quien te dio el enlace.",
  call_full:
    "Aquí esperan muchísimos eventos a que alguien los mire, así que ahora no se aceptan más. Inténtalo dentro de un día; no se ha enviado nada.",
  sender_missing: "Escribe un nombre, como quieras que te llamen; aún no se ha enviado nada.",
  event_gone:
    "Este evento se eliminó entretanto, así que no se le puede hacer nada. Deja fuera la sugerencia, o recupera antes el evento.",
  nothing_suggested: "Dice lo que ya hay. Cambia antes algo; no se ha enviado nada.",
  event_untitled: "Di en pocas palabras qué ocurrió; el evento aún no se ha guardado.",
  not_of_class:
    "Este es trabajo para una clase, y antes de publicarse solo pueden verlo sus docentes y su alumnado. No se ha cambiado nada.",
  invitation_over: "Este enlace valió hasta un día que ya pasó. Pide uno nuevo a quien te lo dio.",
  end_is_past: "El día y la hora hasta los que vale ya han pasado. Elige unos posteriores; no se ha enviado nada.",
  nobody_of_that_name:
    "Nadie de ese nombre está en una clase contigo. Escribe una dirección de correo, o dale un enlace; no se ha enviado nada.",
  several_of_that_name:
    "Varias personas de tus clases se llaman así. Escribe una dirección de correo, o dale un enlace; no se ha enviado nada.",
  remark_empty: "Escribe antes unas palabras; no se ha enviado nada.",
  remarks_full:
    "Sobre esto ya hay 500 comentarios, que son los que caben. Elimina algunos, o dilo en otra parte; no se ha enviado nada.",
  remark_gone: "Este comentario se eliminó entretanto. Lo que escribiste sigue en el campo.",
  no_such_platform:
    "Esta plataforma de aprendizaje no se conoce aquí. Pide a quien lleva Fastigo en tu centro que la añada; no se ha cambiado nada.",
  bad_launch:
    "Lo que envió tu plataforma de aprendizaje no se pudo confirmar, así que no ha entrado nadie. Abre de nuevo el enlace en la plataforma; si no sirve, díselo a quien la administra.",
  launch_over:
    "Este acceso desde tu plataforma de aprendizaje ya se usó, o tardó demasiado. Abre de nuevo el enlace en la plataforma.",
  launch_elsewhere:
    "Este acceso se empezó en otro navegador, o este no guarda cookies de aquí. Abre de nuevo el enlace en la plataforma, en una ventana propia.",
  no_course:
    "Tu plataforma de aprendizaje no dijo qué curso es, así que no hay clase que abrir. Díselo a quien la administra.",
  course_not_opened:
    "Tu docente tiene que abrir este curso una vez en Fastigo, desde la plataforma, antes de que puedas tú. No se ha cambiado nada.",
  platform_silent:
    "La plataforma de aprendizaje no responde, o no como debería. No se ha cambiado nada; inténtalo en unos minutos.",
  no_second_teacher:
    "Nadie más enseña esta clase, así que no hay quien califique en segundo lugar. Incorpora antes a un colega en la página de la clase.",
  marked_by_you:
    "Tú calificaste este trabajo primero, así que lo califica un colega en segundo lugar. No se ha cambiado nada.",
  too_few_to_review:
    "Al menos dos grupos tienen que entregar antes de que alguien pueda leer el trabajo de otro. No se ha repartido nada.",
  review_empty: "Elige un nivel o escribe unas palabras. No se ha enviado nada.",
  reply_empty: "Escribe una respuesta de hasta 2000 caracteres. No se ha enviado nada.",
  question_empty: "Escribe unas palabras, hasta 2000 caracteres. No se ha enviado nada.",
  questions_full:
    "Aquí se han hecho cien preguntas, que son las que se guardan. No se ha enviado nada; pregunta en clase.",
  rubric_name_missing: "Da a la rúbrica un nombre para encontrarla. Aún no se ha guardado.",
  rubrics_full: "Has guardado 60 rúbricas, que son las que caben. Elimina una que ya no necesites.",
  comment_empty: "Un comentario para guardar tiene hasta 1000 caracteres. No se ha guardado nada.",
  comments_full: "Has guardado 200 comentarios, que son los que caben. Elimina uno que ya no uses.",
  practice_small:
    "Una práctica necesita al menos tres eventos con título y fecha, y esta línea de tiempo tiene menos de la clase elegida. No se ha dado nada; añade eventos, o toma también partes y periodos.",
  practices_full:
    "Esta clase tiene 200 prácticas, que son las que se guardan. Esta no se ha dado; retira una que ya pasó.",
  practice_incomplete:
    "No se colocaron todos los eventos de esta práctica, así que no se ha comprobado ni enviado nada. Coloca los demás, y comprueba de nuevo.",
  looks_full:
    "Has guardado 100 aspectos, que son los que se guardan. Este no se ha guardado; elimina uno que ya no necesites, o sácalo en un archivo.",
  teacher_only: "Solo los docentes de una clase guardan aspectos para ella. No se ha guardado nada; guárdalo para ti.",
  too_slow:
    "Esto le lleva demasiado al servidor, y se ha detenido. Lo guardado antes se conserva. Haz la línea de tiempo más pequeña, e inténtalo en unos minutos.",
  busy: "Muchísima gente pide esto a la vez. No se ha perdido nada; inténtalo en un momento.",
  cannot_draw:
    "Esta línea de tiempo no se puede dibujar, y es un fallo nuestro. Sus eventos están guardados, y se pueden abrir en el editor.",
  disk_full:
    "El disco del servidor está lleno, así que ahora no se puede guardar nada. Lo que escribiste se guarda en este navegador y se envía de nuevo; díselo a quien lleva este servidor.",
  no_database:
    "Fastigo no alcanza ahora sus datos. Lo que escribiste se guarda en este navegador; inténtalo en un minuto.",
  other_origin: "Esta petición vino de otro sitio web y se ha rechazado.",
  sign_in_first: "Entra primero. Lo que escribiste se guarda en este navegador.",
  not_found: "Aquí no hay nada que puedas ver. Pide un enlace a quien lo tiene, o entra como otra persona.",
  owner_only: "Solo quien tiene la línea de tiempo puede hacer esto. No se ha cambiado nada.",
  change_taken:
    "Ya hay un cambio con este número y otro contenido. El tuyo se guarda en este navegador; recarga para seguir.",
  email_taken: "Hay una cuenta con esta dirección de correo. Entra en ella, o usa otra dirección.",
  display_name_missing: "Escribe un nombre visible de 1 a 60 caracteres. No tiene que ser tu nombre real.",
  email_malformed: "Esta no es una dirección de correo. Una es como name@school.example.",
  password_short:
    "Una contraseña necesita al menos 8 caracteres. Varias palabras son fáciles de recordar y difíciles de adivinar.",
  password_long: "Una contraseña puede tener como mucho 200 caracteres.",
  wrong_password: "Ninguna cuenta tiene este nombre y esta contraseña. Comprueba ambos e inténtalo de nuevo.",
  step_code_needed: "Escribe el código que muestra tu dispositivo, o uno de los de reserva que apuntaste.",
  wrong_step_code:
    "Este no es el código de este momento, ni uno de reserva. Escribe el que tu dispositivo muestra ahora.",
  step_code_used: "Este código ya se usó. Espera a que tu dispositivo muestre el siguiente.",
  steps_on: "Los códigos en dos pasos ya están activados. Desactívalos antes para empezar con otro dispositivo.",
  steps_not_begun: "Esta configuración ya no vale. Empiézala de nuevo.",
  one_address: "Escribe una dirección: la carta va a una persona.",
  no_such_provider: "Este acceso no está configurado aquí. Entra con nombre y contraseña.",
  provider_silent: "El acceso de tu centro no responde ahora. Inténtalo en un minuto.",
  sign_on_over: "Este acceso ya no vale. Empiézalo de nuevo.",
  sign_on_elsewhere: "Este acceso se empezó en otro navegador, o este no guarda cookies. Empiézalo de nuevo aquí.",
  sign_on_left: "No has entrado: se interrumpió en el acceso de tu centro.",
  bad_sign_on: "Lo que dijo el acceso de tu centro no era de fiar, así que no ha entrado nadie. Empiézalo de nuevo.",
  bad_sign_out: "Lo que dijo el acceso no era de fiar. No ha salido nadie.",
  use_sign_on: "Tu centro te pide que entres por su propio acceso.",
  no_password_yet:
    "Tu cuenta no tiene contraseña: entras por tu centro. Pon antes una en «Contraseña». No se ha cambiado nada.",
  sign_on_again:
    "Para poner una primera contraseña tienes que haber entrado hace un momento. Sal, entra por tu centro, y ponla entonces.",
  own_words: "Estas son palabras tuyas: cámbialas o retíralas tú.",
  link_over: "Este enlace ya no vale: se usó, es demasiado viejo, o la dirección ha cambiado. Pide uno nuevo.",
  no_own_address: "Tu cuenta no tiene dirección de correo. No se ha enviado nada.",
  address_proven: "Esta dirección ya se comprobó. No se ha enviado nada.",
  slow_down: "Demasiadas contraseñas incorrectas para esta cuenta. Espera un momento antes del próximo intento.",
  too_often:
    "Esto se ha intentado muchas veces hace un momento. No se ha perdido nada; espera un minuto antes del próximo intento.",
  password_common:
    "Esta contraseña es de las que se prueban primero. Toma otra: tres o cuatro palabras que no tengan que ver entre sí, por ejemplo.",
  password_same: "La contraseña no puede ser tu nombre, dirección o código de clase. Toma otra.",
  wrong_own_password: "Tu contraseña actual no es esta. No se ha cambiado nada.",
  quota_timeline: "Las imágenes, vídeos y sonidos de esta línea de tiempo llenan el sitio que hay para una.",
  quota_person: "Tus imágenes, vídeos y sonidos llenan el sitio que hay para una persona.",
  video_boxes:
    "Este vídeo está cortado en más partes de las que lee Fastigo. Guárdalo de nuevo, como MP4 o WebM, con otro programa.",
  upload_busy: "Este archivo ya se está componiendo. Espera un momento, y pregunta de nuevo.",
  removed_before:
    "Quien tiene esta línea de tiempo te ha sacado de ella; el enlace antiguo ya no te deja entrar. Pide uno nuevo.",
  due_out_of_range: "El plazo debe estar entre los años 2000 y 2200. La tarea no se ha hecho.",
  folder_long: "En el nombre de una carpeta caben 60 caracteres. No se ha movido nada; acórtalo e inténtalo de nuevo.",
  title_long: "En un título caben 300 caracteres. No se ha guardado nada; acórtalo e inténtalo de nuevo.",
  text_long: "Uno de los textos es más largo de lo que cabe. No se ha guardado y sigue donde lo escribiste.",
  description_large:
    "Esta descripción se ha hecho demasiado grande. Lo guardado antes se conserva; acórtala para seguir.",
  not_an_update: "La descripción no se pudo unir. Se guarda en este navegador; recarga para seguir.",
  no_such_media: "Esta imagen o este archivo no es de esta línea de tiempo. Añádelo de nuevo desde su archivo.",
  file_empty: "Este archivo está vacío. Elige otro.",
  no_video: "Solo un vídeo tiene un fotograma. Esto no lo es, y no se ha cambiado nada.",
  file_kind:
    "Esto no es una imagen, un vídeo o un sonido que Fastigo pueda mostrar, diga lo que diga su nombre. Usa JPEG, PNG, WebP, AVIF, GIF, SVG, MP4, WebM, MP3, M4A, OGG o WAV.",
  picture_unread:
    "Esta imagen está en la forma en que las guardan los teléfonos (HEIC), que aquí no se puede leer. Compártela desde el teléfono como JPEG, o pon su cámara en «más compatible», y añádela de nuevo.",
  picture_large: "Una imagen puede tener como mucho 20 MB. Guárdala más pequeña y añádela de nuevo.",
  picture_pixels: "Esta imagen tiene más de 100 millones de píxeles. Guárdala más pequeña y añádela de nuevo.",
  picture_broken: "Esta imagen está dañada y no se puede abrir. Guárdala de nuevo desde donde vino.",
  address_no_media:
    "En esta dirección no hay ninguna imagen, vídeo, sonido o página web que Fastigo pueda mostrar. La dirección sigue donde la escribiste; úsala como enlace, o añade el archivo mismo.",
  embed_empty:
    "En lo que pegaste no hay ninguna dirección web. Copia la dirección de la página, de su vídeo o sonido, o todo el código que da para otras páginas, y pégalo de nuevo.",
  player_unread:
    "El sitio no dijo de forma comprensible cómo se reproduce esto. No se ha añadido nada; inténtalo más tarde, o añade su página como enlace.",
  video_large: "Un vídeo o sonido puede tener como mucho 200 MB. Guárdalo más corto o más pequeño y añádelo de nuevo.",
  piece_missing: "Parte del archivo no ha llegado. Lo que llegó está guardado: envía el resto.",
  piece_size:
    "Esta parte del archivo tiene un tamaño equivocado, porque la petición se cortó. Lo que llegó antes está guardado: envíala de nuevo.",
  address_malformed: "Esta no es una dirección web. Empieza por https:// o http://.",
  address_private:
    "Esta dirección lleva a una red privada y no se busca. Guarda lo que hay allí y añádelo como archivo.",
  address_unreachable: "En esta dirección no respondió nadie. Guarda lo que hay allí y añádelo como archivo.",
  address_no_picture:
    "Lo que hay en esta dirección no es una imagen. Abre la imagen misma, copia su dirección, o añádela como archivo.",
  address_no_table:
    "Lo que hay en esta dirección no es una tabla que se pueda leer. Abre la página con la tabla, o el archivo mismo, y copia su dirección.",
  address_large: "Lo que hay en esta dirección pasa de 20 MB. Guárdalo más pequeño y añádelo como archivo.",
  address_slow: "La dirección no respondió del todo en 15 segundos. Guarda lo que hay allí y añádelo como archivo.",
  invitation_ended: "Esta invitación se ha cerrado o renovado. Pide un enlace nuevo.",
  nothing_to_publish: "Aún no hay nada que publicar. Escribe antes un título o un evento.",
  beyond_class_limit:
    "Tu clase deja publicar el trabajo solo hasta cierto punto. Elige menos lectores, o pregunta a tu docente.",
  not_your_school:
    "Para un centro solo se puede publicar lo que se hizo en una de sus clases, o lo que da uno de sus docentes. Elige otros lectores.",
  school_name_missing: "Da al centro un nombre de hasta 120 letras. No se ha guardado nada.",
  school_needs_email: "Un centro lo lleva alguien con dirección de correo. Crea una cuenta con una, y hazlo allí.",
  administrators_only: "Solo la administración del centro puede hacer eso. No se ha cambiado nada.",
  last_administrator:
    "Un centro siempre tiene alguien que lo administra. Da antes la administración a otra persona, o termina el centro. No se ha cambiado nada.",
  account_of_their_own:
    "Esta cuenta no se hizo en la clase, así que no le toca a la clase eliminarla. Lo que guarda la clase se puede destruir sin ella.",
  byline_names:
    "La clase no quiere el nombre de nadie en lo publicado. En Sobre deja la firma vacía o pon un seudónimo, y hazlo de nuevo. No se ha publicado nada.",
  voice_unread:
    "Esta no es una grabación que se pueda guardar, o pasa de cinco minutos. No se ha guardado nada; grábala de nuevo.",
  not_your_class:
    "Solo el docente de una clase puede darle una línea de tiempo que no se hizo en ella. Elige otros lectores.",
  class_name_missing: "Escribe un nombre para la clase, de 1 a 80 caracteres.",
  no_such_zone: "No hay ninguna zona horaria con ese nombre. Elige una de la lista; no se ha cambiado nada.",
  in_use_elsewhere: "Esta línea de tiempo ya es de una tarea. Elige otra, o empieza de nuevo; no se ha cambiado nada.",
  not_yours_alone: "Solo quien tiene una línea de tiempo puede usarla para una tarea. No se ha cambiado nada.",
  not_to_improve: "Esto ya se entregó. Se puede entregar de nuevo cuando tu docente lo devuelva para mejorar.",
  no_such_code: "Ninguna clase tiene ahora este código. Compruébalo, o pide el nuevo a tu docente.",
  code_over: "Este código es incorrecto, ya se usó, o ya no vale. Pide uno nuevo a tu docente.",
  assignment_incomplete: "La tarea no está completa y no se ha hecho.",
  in_a_group: "Ya has empezado esta tarea. Ábrela desde tus líneas de tiempo.",
  handed_in_and_deleted:
    "Entregaste esto y después eliminaste la línea de tiempo. Lo entregado está con tu docente; recupera la línea de tiempo en 30 días para seguir con ella.",
  not_a_classmate: "Solo puede unirse alguien de la misma clase, que no haya empezado esta tarea en otra parte.",
  nothing_to_submit: "Aún no hay nada que entregar. Escribe antes un evento.",
  submitted_already: "Esto ya se entregó. Antes de que venza el plazo puedes retirarlo y entregarlo de nuevo.",
  too_late_to_take_back:
    "El plazo ha vencido, el trabajo se ha devuelto, o haber entregado te ha abierto el trabajo de otros: ya no se puede retirar.",
  points_out_of_range: "Los puntos deben estar entre 0 y el total de la tarea. No se ha guardado nada.",
  returned_needs_points:
    "Esto se devolvió con puntos, así que necesita puntos. Da otros; aún no se ha guardado nada de esto.",
  reason_missing: "Di en una palabra por qué cuenta de otro modo; el grupo lo lee. No se ha cambiado nada.",
  not_marked_yet: "Aún no tiene puntos. Califícalo, y devuélvelo después.",
  no_store:
    "Fastigo no alcanza ahora el sitio donde se guardan los archivos. Lo enviado está guardado; inténtalo en un minuto.",
  job_stopped: "Esto se detuvo antes de acabar. No se ha perdido nada; pídelo de nuevo cuando lo quieras.",
  broken:
    "Algo ha ido mal aquí, no por tu parte. Lo que escribiste se guarda en este navegador; inténtalo en un momento.",
};
