/**
 * Words that a page prints round a figure and that change nothing about it: what is tightened, how the page speaks of
 * tightening, where on the page it stands. Whatever is not here and is not understood is asked about.
 */
const WORDS = `
head heads cylinder cylinders nut nuts bolt bolts stud studs screw screws setscrew setscrews capscrew capscrews main mains
bearing bearings cap caps big little small large long short end ends con conrod conrods connecting rod rods
flywheel clutch sump pan cover covers pump filter seal manifold manifolds plug plugs spark sparking drain gearbox gear
case casing crankcase crankshaft crank cam camshaft sprocket chain rocker rockers shaft shafts spindle tappet valve valves
exhaust inlet intake carburettor carburetter carb flange flanges hub hubs wheel wheels axle gasket joint joints washer
washers lockwasher thread threads threaded face faces union banjo pulley damper dynamo generator starter magneto
distributor water jacket outlet housing thermostat timing front rear upper lower inner outer centre center left right hand
side top bottom inside outside number engine motor car motorcycle cycle model type series barrel barrels base block body
bracket mounting mountings arm arms lever levers pedestal pedestals pillar pinion plate drive driven output input
between new again re retighten retorque cold kalt froid freddo frío kall koud studená torque torques torqued tighten tightened tightening tightness setting settings set figure figures value values load
wrench spanner spanners bar handle pull force weight socket tool reading read recommended specified spec specification
standard normal correct using use used apply applied all each every both only the a an of for to and is are be should must
with in on at by from this these those it its as per into onto down up through after before finally final firmly
evenly gradually diagonally sequence order turn turns stage stages step steps pass passes one two three four first second
third page pages p pp fig figs section para table chapter item ref see note also off pcs pieces qty required
hex hexagon across flats size dia diameter diam length unf unc bsf bsw ba cei whitworth metric x mm
lb lbs ft feet in inch inches nm kg m cm mkg mkp kgm cmkg
anzugsmoment anziehdrehmoment anziehmoment drehmoment anziehen anzuziehen angezogen festziehen mit der die das den dem des und
zylinderkopf zylinderkopfmuttern zylinderkopfschrauben kopf muttern mutter schrauben schraube stehbolzen bolzen pleuel
pleuelmuttern pleuelschrauben kurbelwelle hauptlager lager lagerdeckel deckel schwungrad ölwanne gewinde gewinden stufen stufe für auf
von am im zum zur alle jede bei nach
couple serrage serrer serrez écrous écrou ecrous ecrou culasse vis goujon goujons boulon boulons bielle bielles palier paliers
chapeau chapeaux vilebrequin volant moteur de du des d l la le les filet filets filetage filetages et au aux à en sur pour étapes étape
coppia serraggio serrare dadi dado viti vite testata testa prigionieri bielle biella banco cappello cappelli albero motore
volano di del della delle dei degli il lo gli i e per con ogni fasi fase filetti filetto
par apriete apretar tuercas tuerca tornillos tornillo culata biela bielas bancada cigüeñal volante el los las de del para
con etapas etapa rosca roscas
åtdragningsmoment åtdrag moment dras muttrar mutter skruvar skruv bultar bult topplock vevlager ramlager svänghjul med till
för och av steg gängor gängorna
aanhaalmoment aandraaimoment moeren moer bouten bout cilinderkop drijfstang hoofdlager vliegwiel met van het een en tot in
stappen draad
utahovací utahovaci moment matice matic šrouby šroub hlava hlavy válců závity závitů ojnice ojnic ložiska
moment dokręcania nakrętki śruby głowicy
tilspændingsmoment møtrikker bolte topstykke spændes moment til med
`;

const HARMLESS: ReadonlySet<string> = new Set(WORDS.split(/\s+/).filter(Boolean));

/** Whether a word says nothing about the figure beside it. */
export const isHarmless = (word: string): boolean => HARMLESS.has(word) || /^\p{L}$/u.test(word);
