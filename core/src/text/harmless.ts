const list = (s: string): ReadonlySet<string> => new Set(s.trim().split(/\s+/));

/**
 * Words beside an ingredient's name that leave it the same ingredient. A word that is neither here nor in the name
 * raises a doubt: "butter beans" must never be read as butter.
 */
export const harmless: ReadonlySet<string> = list(`
  a an the of in at to for with without from and or as is if it its that which by into each per about approx approximately
  around roughly ca circa some any your our my this only just very quite fairly really more less extra plus bit little few
  good best quality favourite fresh freshly frozen thawed defrosted unthawed cold chilled cool cooled warm warmed hot
  lukewarm tepid boiling boiled iced ice-cold room temperature temp softened soft melted molten browned liquid runny
  firm hard ripe overripe over-ripe under-ripe unripe juicy sweet tart sharp crisp tender young old dried-out
  large small medium big extra-large medium-sized large-ish tiny jumbo size sized thumb-sized thumb piece pieces chunk
  chunks cube cubes cubed cut slice slices sliced diced dice chopped chop minced roughly finely coarsely thinly thickly
  grated shredded crushed mashed pureed puree crumbled broken halved quartered torn flaked slivered split ground-up
  peeled unpeeled cored deseeded seeded stoned pitted hulled trimmed topped tailed scrubbed washed rinsed drained dry
  squeezed strained sieved sifted unsifted packed unpacked firmly lightly loosely tightly levelled leveled level heaped
  heaping rounded scant generous spooned scooped measured weighed beaten whisked separated lightly-beaten toasted roasted
  cooked raw steamed stewed blanched skinned skinless shelled unshelled whole pure natural organic free-range freerange
  unwaxed unbleached bleached enriched unsweetened bought home-made homemade shop-bought store-bought canned tinned
  bottled jarred packet carton tin can jar pot tub box bag packages package pkg pkgs pkt pkts packchen packung beutel pck pcks pk tutchen paquet paquets bustina bustine sobre sobres becher dose dosen pack container carton bottle bar block
  sachet envelope stick sticks knob cloves sprig sprigs leaf leaves stalk stalks stem stems bunch head handful juice-of
  optional needed required necessary desired taste serve serving serve decorate decoration garnish finish glaze glazing
  topping dusting greasing rolling sprinkling brushing board pan tin tray work surface needed enough give until divided
  use used using reserved keep save preferably ideally usually like such e.g eg i.e but not too well do don't thaw
  weight peeled-weight net gross total shell flesh drained-weight inch inches cm mm half halves third quarter thick thin
  long wide fat full-bodied regular ordinary normal standard usual common everyday basic classic traditional style kind type
  variety sort all both other another one two three four five six half-inch bite-sized small-ish yes no please or-so so
  handheld odourless flavourless neutral-tasting unflavoured unflavored unsalted-type mild light-tasting
  homogenised pasteurised filtered still tap kitchen leftover left-over day-old stale ripe-ish spotty brown-spotted brown black
  speckled heavy-handed thick-cut dropping consistency mixture dough batter clean nice slightly partly partially
  fully completely almost nearly coarse fine finely-ground stoneground stone-ground strong semi-firm blended smooth
  crunchy creamy chunky seedless golden red green yellow white-fleshed orange-fleshed pink purple eating cooking baking bramley braeburn gala fuji granny smith conference full-fat fat-free low-fat reduced-fat half-fat cream-style
  dessert tangy sour-ish seasonal local pot-set solids cocoa-solids min minimum least fat percent full cream-top chopped-up
  up down off out then them they're you i we can't won't be been being will would should may might get got put add added
  mix mixed-in stir stirred folded through over on onto under top tops base edges sides shaken set aside ready prepared
  take use get dictated drop drops snipped rindless picked stripped plump soaked before after measuring choice own no nos no. lge lg med sml sm xl not lots
  double triple single heat-treated square squares mixed with good-quality brushing sweetish unpitted lump lumps lump-free granules-free quick-cook sachets pkts packs tins
  cans pots jars tubs cartons bags boxes bars blocks punnet punnets ball balls x × plain all-natural
  already quite brushed grated-in thick-cut m l s size-m size-l prepared ordinary-white flaky-salt ribboned julienned zested juiced crumbly wet moist dryish sour-tasting
  dark-coloured thick-set floury waxy mealy well heavy-duty household supermarket tender-stem baked grill grilled smoked-style
  refined unrefined virgin extra-virgin unsulphured dutched ungreased unflavored-type deseeded destoned topped-up shop fridge
  chilled-down overnight powdered pounded coarse-ground coarse-cut thin-cut thick-sliced mixed-up warmed-through blood-warm
  hand-warm double-strength strongly brewed decaf any-kind whichever whatever favourite-type odd bits ends broken-up
  weiche weicher weichen weiches zimmerwarme zimmerwarm kalte kalter kaltes lauwarme lauwarmes lauwarm warme warmes heisse heisses
  zerlassene geschmolzene flussige gemahlen gemahlene gehackt gehackte geriebene geriebener gerieben geraspelte geraspelt gesiebt
  gesiebtes frisch frische frischer reife reifer reifes grosse grosser kleine kleiner mittelgrosse gestrichen gestrichene gehauft
  gehaufte ca etwa etwas oder und mit zum fur die der das den von aus einer eines einem eine ein unbehandelte unbehandelten bio
  abgerieben abgeriebene entsteint entsteinte gewurfelt gewurfelte grosse stuck nach belieben geschmack grosse-m grosse-l
  fondu fondue fondus mou molle mous ramolli tiede froid froide chaud chaude rape rapee rapes hache hachee haches entier entiere
  fin fine gros grosse petit petite petits bien mur murs mure mures de du des la le les un une et ou en a au aux pour temperature
  ambiante nature bio non traite traites environ bombee bombees rase rases coupe coupee coupes morceaux dés emince poudre sale
  derretida derretido blanda blando fundida fundido rallado rallada rallados picado picada picadas picados fria frio tibia tibio
  caliente maduro maduros madura maduras grande grandes mediano medianos pequeno pequena el los las una unos y o con sin para al
  ambiente aproximadamente tamizada tamizado pelada pelado pelados en trozos cortado cortada molido molida natural entera entero
  fuso fusa morbido morbida freddo fredda tiepido tiepida caldo calda grattugiato grattugiata grattugiate tritato tritata tritate
  setacciata setacciato maturo matura mature medie grandi piccole di del della dei delle il lo gli un una e per circa q b quanto
  basta non trattato biologico biologica sbucciata sbucciate a pezzi pezzetti colmo raso
`);
