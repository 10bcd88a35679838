import type * as En from "../en/editor-local";
import type { Like } from "../like";

export const WORDS: Like<typeof En.WORDS> = {
  opening: "Abriendo",
  tryAgain: "Intentarlo de nuevo",
  signUp: "Crear cuenta",
  thisBrowserKeepsNothing:
    "Este navegador no deja que Fastigo guarde nada, así que aquí no se podría escribir. Crea una cuenta, o usa otro navegador.",
  openInAnotherTab:
    "Tu línea de tiempo está abierta en otra pestaña de este navegador. Sigue allí, o ciérrala e inténtalo de nuevo.",
  keptHereOnly:
    "Esta línea de tiempo se guarda solo en este navegador. Quien lo use después puede verla hasta que la borres.",
  diskTakesNothing: "Sin guardar: este dispositivo no admite nada más",
  clearIt: "Borrarla",
  clearingRemovesIt: "Esto quita la línea de tiempo de este navegador, para siempre: no hay otra copia de ella.",
  leaveIt: "Dejarla",
  signUpToKeepIt: "Crear cuenta para conservarla",
  timeline: "Línea de tiempo",
  download: { svg: "El gráfico", csv: "Los eventos, para una hoja de cálculo", json: "Todo" },
  needsAnAccount:
    "Para publicar, compartir y entregar hace falta una cuenta. Crea una, o entra: lo que has escrito viene contigo.",
  share: "Compartir",
  signIn: "Entrar",
  joinAClass: "Unirse a una clase",
  takingAlong: "Llevando lo que escribiste antes",
  takenAlong: (title) => `«${title}» vino de este navegador y ahora es tuya.`,
  notTakenAlong: (why) => `Lo que escribiste en este navegador no se pudo llevar: ${why} Sigue guardado aquí.`,
  openIt: "Abrirla",
  mediaNeedAnAccount:
    "estos se guardan en el servidor, que necesita una cuenta. Crea una primero; lo que has escrito viene contigo.",
  youAreSignedIn: "Ya has entrado.",
  toYourTimelines: "A tus líneas de tiempo",
  begunHere:
    "Esta línea de tiempo se guarda en este dispositivo hasta que vuelva la red; entonces pasa a tus líneas de tiempo desde tu primera página.",
  networkIsBack: "Ha vuelto la red: llevarla a tus líneas de tiempo",
  needsTheNetwork:
    "Publicar, compartir y entregar necesitan la red. Cuando vuelva, lleva primero esta línea de tiempo a las tuyas.",
  mediaNeedTheNetwork:
    "estos se guardan en el servidor, lo que necesita la red. Añádelos cuando esta sea una de tus líneas de tiempo.",
  withoutNetwork: {
    notConnected: "Sin conexión",
    kept: "Estas líneas de tiempo se guardan en este dispositivo y se puede escribir en ellas; lo que escribas se enviará cuando vuelva la red.",
    none: "En este dispositivo no se guarda ninguna línea de tiempo.",
    untitled: "Sin título",
    begin: "Empezar una línea de tiempo nueva, o seguir con la empezada aquí",
  },
  thisDevice: "Este dispositivo",
  thisDeviceIsMine: "Este dispositivo es mío: guarda en él las líneas de tiempo que abra, para que se abran sin red",
  neverOnShared: "Déjalo sin marcar en un dispositivo que usen también otros. Al salir se quita lo guardado.",
  cannotKeep:
    "Este navegador no puede guardar la aplicación: hace falta https, o un navegador que deje guardar páginas.",
  keptOnThisDevice:
    "Ahora está guardado en este dispositivo. Las líneas de tiempo que abras desde ahora se guardan también.",
  nothingIsKeptNow: "En este dispositivo ya no se guarda nada.",
  notSentYet: "No se ha enviado todo",
  unsentSaid: (n) =>
    n === 1
      ? "1 cambio escrito en este dispositivo aún no ha llegado al servidor. Abre su línea de tiempo con conexión para enviarlo, o guárdalo en un archivo."
      : `${n} cambios escritos en este dispositivo aún no han llegado al servidor. Abre sus líneas de tiempo con conexión para enviarlos, o guárdalos en un archivo.`,
  openToSend: "Abrirla y enviar",
  saveAndSignOut: "Guardar en un archivo y salir",
  stay: "Quedarme dentro",
  unsentFile: "fastigo-not-sent.json",
  unsentBack: "Trabajo que se guardó en un archivo",
  unsentBackHint:
    "Donde alguien salió antes de que se enviara todo, se guardó como «fastigo-not-sent.json»: tráelo de vuelta aquí.",
  openTheFile: "Abrir el archivo",
  noUnsentFile: "Este no es un archivo de trabajo sin enviar. No se ha cambiado nada.",
  unsentSent: (n) => (n === 1 ? "1 cambio está ya en el servidor." : `${n} cambios están ya en el servidor.`),
  unsentLeft: (n, why) =>
    `${n} no se ${n === 1 ? "pudo" : "pudieron"} aceptar: ${why} ${n === 1 ? "Sigue" : "Siguen"} en el archivo.`,
  print: "Imprimirla",
  cannotPrint:
    "Lo que hace falta para imprimir no se pudo cargar. No se ha perdido nada; inténtalo de nuevo cuando vuelva la red.",
  untitled: "Sin título",
};
