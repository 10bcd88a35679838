import type * as En from "../en/published-pages";
import type { Like } from "../like";

const number = (n: number) => n.toLocaleString("es");

export const WORDS: Like<typeof En.WORDS> = {
  thereIsNoTimelineHere: "Aquí no hay ninguna línea de tiempo",
  theAddressMayBeMistyped: "Puede que la dirección esté mal escrita. Pregunta a quien te la dio.",
  thisTimelineHasBeenTaken: "Esta línea de tiempo se ha retirado",
  itsAuthorHasTakenIt: "Quien la hizo la ha retirado. Si la publica de nuevo, estará en esta misma dirección.",
  hidden: "Esta línea de tiempo está oculta",
  hiddenMore:
    "Alguien la denunció, y quien mantiene este sitio la ha ocultado. Quien la hizo la conserva, y puede preguntarle.",
  notYet: "Esta línea de tiempo aún no está abierta",
  notYetMore: (when) => `Se abre el ${when}. Vuelve entonces, a esta misma dirección.`,
  over: "Esta línea de tiempo está cerrada",
  overMore: (when) => `Se pudo ver hasta el ${when}. Pregunta a quien la hizo si aún la necesitas.`,
  withAPassword: "Esta línea de tiempo tiene contraseña",
  withAPasswordMore:
    "Quien te dio el enlace puede decirte la contraseña. A este navegador se le pregunta una vez cada 30 días.",
  password: "Contraseña",
  open: "Abrirla",
  notInFrames: "Esta línea de tiempo no se muestra dentro de otras páginas",
  notInFramesMore: "Solo la pueden ver ciertas personas, y dentro de otro sitio no se distingue a nadie.",
  openOnItsOwn: "Abrirla en su propia página",
  thereIsNothingHereThat: "Aquí no hay nada que puedas ver",
  signInAsSomebodyOf: "Entra como alguien de la clase para la que se publicó, o pide a quien la hizo que la abra.",
  signInAsSomebodyOfSchool: "Entra como alguien del centro para el que se publicó, o pide a quien la hizo que la abra.",
  signInAsOneOf: "Entra como una de las personas que la editan, o pide a quien la hizo que la abra.",
  signIn: "Entrar",
  untitled: "Sin título",

  title: "Publicadas para todo el mundo",
  words: "Palabras",
  wordsHint: "en títulos, eventos, lugares y textos",
  period: "Periodo",
  periodHint: "como 1800-1900",
  periodUnread: (typed) =>
    `«${typed}» no es un periodo que se pueda leer, así que se muestran todos. Escribe años o fechas, como 1800-1900 o siglo XIX.`,
  subject: "Tema",
  anySubject: "Cualquier tema",
  withPictures: "Con imágenes",
  order: "Orden",
  newest: "Primero las más nuevas",
  mostRead: "Primero las más leídas",
  best: "Primero las que mejor encajan",
  look: "Buscar",
  found: (n, more) =>
    more ? `Más de ${number(n)} líneas de tiempo` : n === 1 ? "1 línea de tiempo" : `${number(n)} líneas de tiempo`,
  nothingFound:
    "Nada de lo publicado para todo el mundo encaja con todo esto. Usa menos palabras, otra grafía o un periodo más amplio.",
  nobodyYet: "Nadie ha publicado aún una línea de tiempo para todo el mundo.",
  earlier: "Página anterior",
  later: "Página siguiente",
  page: (n) => `Página ${n}`,
  showAll: "Mostrar todas",
  by: (name) => `de ${name}`,
  events: (n) => (n === 1 ? "1 evento" : `${number(n)} eventos`),
  pictures: (n) => (n === 1 ? "1 imagen" : `${number(n)} imágenes`),

  about: "Sobre esta línea de tiempo",
  publishedOn: (when) => `Publicada el ${when}.`,
  basedOn: (title, by) => `Empezada con «${title}»${by ? ` de ${by}` : ""}.`,
  openPage: "Abrir la línea de tiempo",
  copyHead: "Empezar con ella una línea de tiempo propia",
  copyMore:
    "La recibes entera como está publicada, con sus imágenes, como una línea de tiempo tuya que no ve nadie más. Dice para siempre con el trabajo de quién se empezó.",
  copyNot: "Quien la hizo no deja que otros empiecen con ella. Pregúntale qué puedes usar.",
  copySignIn: "Entrar para empezar con ella",
  copyDo: "Copiarla como mía",
  embedHead: "Mostrarla en una página tuya",
  embedNot: "No se muestra en ningún otro sitio. Enlázala, o pide que se permita tu sitio: se hace en Compartir.",
  embedMore:
    "Pon este código en tu página. Muestra la línea de tiempo como está publicada, siempre la versión más nueva.",
  code: "Código para tu página",
  reportHead: "Denunciar esta página",
  reportMore:
    "Quien mantiene este sitio la mira, y oculta lo que no deba estar aquí. A quien la hizo no se le dice quién la denunció.",
  reason: "Qué le pasa",
  reasons: {
    harmful: "Hace daño a alguien o lo amenaza",
    private: "Muestra la vida privada de alguien",
    copied: "Usa el trabajo de alguien sin su permiso",
    advertising: "Es publicidad",
    other: "Otra cosa",
  },
  reportWords: "En pocas palabras",
  reportDo: "Denunciarla",
  reported: "Gracias. Se ha denunciado, y alguien lo mirará.",

  mine: "Publicado por mí",
  mineNone: "Aún no has publicado nada. Abre una línea de tiempo y pulsa Compartir.",
  whoSees: {
    only_me: "Solo quienes la editan",
    class: "La clase",
    school: "El centro",
    password: "Quien tenga el enlace y la contraseña",
    link: "Quien tenga el enlace",
    everybody: "Todo el mundo",
  },
  nobodySees: "Nadie: retirada",
  hiddenSees: "Nadie: oculta por quien mantiene este sitio",
  fromOn: (when) => `desde el ${when}`,
  untilOn: (when) => `hasta el ${when}`,
  wasUntil: (when) => `estuvo abierta hasta el ${when}`,
  openedTimes: (n) => (n === 0 ? "aún no se ha abierto" : n === 1 ? "abierta una vez" : `abierta ${number(n)} veces`),
  openedLast: (n, days) => `${number(n)} de ellas en los últimos ${days} días`,
  openedDays: (n, days) =>
    `Abierta ${n === 1 ? "1 vez" : `${number(n)} veces`} en los últimos ${days} días, una columna por día`,
  timeline: "Línea de tiempo",
  whoSeesIt: "Quién puede verla",
  howOften: "Cuántas veces se abrió",
  takeBack: "Retirarla",
  laterChanges: (n) =>
    n === 1 ? "1 cambio posterior no se muestra" : `${number(n)} cambios posteriores no se muestran`,
  openEditor: "Abrir para editar",
  shownIn: (sites) => `puede estar en páginas de ${sites}`,
  anySite: "cualquier sitio",
  mayBeCopied: "otros pueden empezar con ella",

  reports: "Páginas denunciadas",
  noReports: "No te espera nada denunciado.",
  reportedOn: (when) => `denunciada el ${when}`,
  hide: "Ocultarla",
  keep: "Dejarla",
  show: "Mostrarla de nuevo",
  hiddenOnes: "Ocultas",
  noneHidden: "No hay nada oculto.",

  mailbox: "Buzón",
  mailboxMore:
    "No hay configurado ningún servidor de correo, así que nada sale de esta máquina: lo que se habría enviado está aquí. SMTP_URL lo envía de verdad.",
  mailboxReal: "Lo que se envió en tu nombre, y lo que Fastigo te envió a ti.",
  noMail: "Aún no se ha enviado nada en tu nombre.",
  mailTo: (who) => `Para ${who}`,
  mailNotSent: "no enviada:",
  mailWaiting: "espera a enviarse",
  mailSent: "enviada",
};

export const LETTERS: Like<typeof En.LETTERS> = {
  title: "Cartas de este sitio",
  sent: "Salen por el servidor de correo configurado; lo que dicen es para quienes las reciben.",
  notSent:
    "No hay configurado ningún servidor de correo, así que estas no se han enviado: enlaces para entrar, y preguntas de si una dirección es correcta. Entrega cada una a quien va dirigida, y a nadie más; su enlace es una llave.",
};
