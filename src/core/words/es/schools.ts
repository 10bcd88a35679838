import type * as En from "../en/schools";
import type { Like } from "../like";

const LIMIT = {
  only_me: "quienes la editan",
  class: "la clase",
  school: "el centro",
  password: "quienes tengan la contraseña",
  link: "quienes tengan el enlace",
  everybody: "todo el mundo",
} as const;

export const WORDS: Like<typeof En.WORDS> = {
  newSchool: "Crear un centro",
  whatItIs:
    "Un centro reúne clases: sus docentes pueden publicar para todo él, tiene una página propia con lo publicado, y su administración dice hasta dónde puede publicar el alumnado. Quien lo crea es su primer administrador.",
  nameOfTheSchool: "Nombre del centro",
  makeTheSchool: "Crear el centro",
  schoolsOfMine: "Centros en los que enseño",
  school: "Centro",
  published: "Publicado para el centro",
  nothingPublished:
    "Para el centro aún no se ha publicado nada. En una línea de tiempo pulsa Compartir y elige el centro.",
  classes: "Clases",
  noClasses: "Aún no le pertenece ninguna clase. En la página de una clase su docente elige el centro.",
  classLine: (teacher, members) =>
    `${teacher} · ${members === 1 ? "1 alumna o alumno" : `${members} alumnas y alumnos`}`,
  takeOutClass: (name) => `Sacar ${name} del centro`,
  takeOut: "Sacar",
  teachers: "Docentes",
  role: { administrator: "administración", teacher: "docente" },
  makeAdministrator: (name) => `Dar la administración a ${name}`,
  makeAdministratorShort: "Dar la administración",
  makeTeacher: (name) => `Que ${name} sea solo docente`,
  makeTeacherShort: "Solo docente",
  remove: (name) => `Sacar a ${name} del centro`,
  removeShort: "Sacar",
  leave: "Dejar el centro",
  written: "se le escribió, aún no ha venido",
  withdraw: (email) => `Retirar la invitación de ${email}`,
  withdrawShort: "Retirar",
  email: "Correo de un colega",
  emailHint: "Quien tiene cuenta entra al momento y se le dice; los demás reciben una carta con un enlace.",
  as: "Como",
  asTeacher: "como docente",
  asAdministrator: "como administración",
  take: "Incorporar",
  wroteTo: (email) => `Una carta con un enlace ha ido a ${email}.`,
  joined: (email) => `${email} está dentro, y se le ha dicho.`,
  settings: "De todo el centro",
  rename: "Darle otro nombre",
  limit: "El alumnado puede publicar, como mucho",
  limitHint:
    "Una clase puede dejar que su alumnado publique menos, nunca más. Vale al momento, también para lo ya publicado.",
  limits: {
    only_me: "de ningún modo: solo lo ven quienes lo editan",
    class: "para su clase",
    school: "para el centro",
    password: "con una contraseña",
    link: "para quien tenga el enlace",
    everybody: "para todo el mundo",
  },
  signOnOnly: (name) => `Nuestra gente entra solo por ${name}`,
  signOnOnlyHint:
    "Quien ha entrado por él una vez, y enseña o aprende aquí, no entra de otro modo. La administración puede usar siempre su contraseña.",
  end: "Terminar el centro",
  endMore:
    "Sus clases y líneas de tiempo se quedan. Lo publicado solo para el centro lo ven entonces su clase y quien lo hizo. No se puede deshacer.",
  leaveIt: "Dejarlo como está",
  invites: (by, school) => `${by} te invita a enseñar en ${school}.`,
  join: "Unirse al centro",
  over: "Esta invitación ya no vale",
  overMore: "Ya se aceptó o se retiró. Pide otra a quien la envió.",
  ofSchool: "La clase pertenece a",
  ofNone: "ningún centro",
  goesNoFurther: (name, limit) => `${name} no deja que llegue más allá de ${LIMIT[limit]}.`,
};
