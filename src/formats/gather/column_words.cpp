// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "formats/gather/column_words.h"

#include "core/channels/channels.h"

#include <algorithm>
#include <array>
#include <cctype>

namespace hillrun {
namespace {

/// One way to name a quantity: some word of each group must be there, none of `never`. Words are separated by '|'; one
/// of four letters or more may be part of a longer word ("kuhlmittel" in "kuhlmitteltemperatur"), a shorter one stands
/// by itself.
struct Naming {
    std::string_view channel;
    std::string_view first;
    std::string_view second = {};
    std::string_view never = {};
};

constexpr std::string_view kTemperature = "temp|t|temperatur|temperature|temperatura";
constexpr std::string_view kPressure = "pres|press|pressure|druck|pression|presion|pressione|p";
constexpr std::string_view kOtherShaft =
    "wheel|rad|turbo|roller|rolle|drum|shaft|prop|input|output|gearbox|fan|compressor|turbine|pump|vehicle|road|"
    "ground|gps|rouleau|rodillo|rullo|roue|rueda|ruota|vehicule|vehiculo|veicolo|fahrzeug|brake|bremse";

// The narrower names stand before the wider ones.
constexpr std::array kNamings{
    Naming{role::kAirTemperature, "ambient|ambiente|ambiante|umgebung|room|raum|cell|outside|aussen|weather|wetter",
           kTemperature},
    Naming{role::kAirPressure, "barometer|baro|barometric|barometrique|barometrica|luftdruck|atmospheric|"
                               "atmosphere|atmospherique|atmosferica"},
    Naming{role::kAirPressure, "ambient|ambiente|ambiante|umgebung|room|raum", kPressure},
    Naming{role::kHumidity, "humidity|feuchte|luftfeuchtigkeit|feuchtigkeit|humidite|humedad|umidita|rh"},
    Naming{role::kDate, "date|datum|fecha|data", {}, "rate|log"},
    Naming{role::kRun,
           "run|pull|lauf|durchlauf|messung|essai|passage|ensayo|prova|corsa|test|segment|pass",
           {},
           "time|zeit|temps|out"},
    Naming{role::kSample,
           "sample|samples|index|row|nr|no|echantillon|muestra|campione|point|punkt|zeile|frame|scan",
           {},
           "rate|time|dew|ignition|temp"},
    Naming{"exhaust_gas_temperature", "exhaust|exh|abgas|echappement|escape|scarico|egt", kTemperature},
    Naming{"exhaust_gas_temperature", "egt|egts"},
    Naming{"exhaust_back_pressure", "exhaust|back|abgas|abgasgegen|gegendruck|contre|echappement|escape|scarico|emap",
           "pres|press|pressure|druck|pression|presion|pressione|gegendruck|contrepression|emap"},
    Naming{"exhaust_back_pressure", "backpressure|contrapresion|contropressione"},
    Naming{"intake_air_temperature",
           "intake|inlet|charge|ansaug|ansaugluft|ladeluft|admission|admision|aspirazione|aspirata|air|luft|aire|aria",
           kTemperature, "ambient|exhaust|outside"},
    Naming{"coolant_temperature",
           "coolant|water|kuhl|kuhlmittel|kuhlwasser|wasser|eau|refroidissement|agua|refrigerante|acqua|"
           "refrigerazione|cylinderhead",
           kTemperature},
    Naming{"oil_temperature", "oil|ol|oel|motorol|motoroel|oltemp|oeltemp|huile|aceite|olio", kTemperature},
    Naming{"oil_pressure", "oil|ol|oel|motorol|motoroel|oldruck|oeldruck|huile|aceite|olio", kPressure},
    Naming{"fuel_pressure", "fuel|kraftstoff|benzin|rail|carburant|essence|combustible|gasolina|carburante|benzina",
           kPressure},
    Naming{"airbox_pressure", "airbox|airfilter|luftfilter|filter|filtre|filtro", kPressure},
    Naming{"manifold_pressure",
           "manifold|man|boost|charge|inlet|intake|lade|ladedruck|saugrohr|saugrohrdruck|ansaug|suralimentation|"
           "admission|collecteur|colector|admision|sobrealimentacion|collettore|sovralimentazione|aspirazione|turbo",
           "pres|press|pressure|druck|ladedruck|saugrohrdruck|pression|presion|pressione|boost|abs|absolute|p|gauge",
           "exhaust|abgas|oil|fuel|duty|control|solenoid|temp|vacuum|unterdruck|depression"},
    Naming{"manifold_pressure", "map", {}, "ignition|fuel|switch|select|number|timing|no"},
    Naming{"lambda", "lambda", {}, "integrator|correction|heater|trim|regler|integral|control"},
    Naming{"air_fuel_ratio", "afr|airfuel"},
    Naming{"air_fuel_ratio", "air|luft|aire|aria", "fuel|kraftstoff|carburant|combustible|carburante"},
    Naming{"fuel_flow", "fuel|kraftstoff|carburant|combustible|carburante|verbrauch|consumption|consommation|consumo",
           "flow|rate|mass|massenstrom|durchfluss|debit|caudal|flusso|portata|verbrauch|consumption|consommation|"
           "consumo",
           "pres|press|temp|level"},
    Naming{"air_flow", "air|luft|maf|luftmasse|luftmassen|aire|aria",
           "flow|mass|massenstrom|luftmasse|debit|caudal|"
           "flusso|portata|masse",
           "pres|press|temp"},
    Naming{"air_flow", "maf"},
    Naming{"knock_retard", "knock|klopf|cliquetis|detonacion|detonazione", "retard|retardo|ritardo|zuruck|spat|deg",
           "level|volt|sensor|intensity|count"},
    Naming{"ignition_advance",
           "ignition|ign|spark|zund|zundung|zundwinkel|zundzeitpunkt|allumage|encendido|accensione|timing",
           "advance|angle|timing|winkel|zeitpunkt|avance|angulo|anticipo|angolo|btdc", "current|dwell|retard|voltage"},
    Naming{"ignition_advance", "zundwinkel|zundzeitpunkt|advance|btdc", {}, "retard|cam|vvt"},
    Naming{"spark_current", "spark|coil|ionisation|ionization|zundspule|bobine|bobina",
           "current|strom|courant|corriente|corrente|ionisation"},
    Naming{"wastegate_duty", "wastegate|wg|wgdc|boost",
           "duty|dc|wgdc|wastegate|solenoid|tastverhaltnis|control|position"},
    Naming{"bypass_valve", "bypass|dump|bov|recirculation|schubumluft"},
    Naming{"throttle",
           "throttle|tps|drosselklappe|drossel|papillon|mariposa|farfalla|gaspedal|pedal|accelerator|tp",
           {},
           "body|temp|press|pressure"},
    Naming{"absorber_load", "absorber|brake|bremse|frein|freno|dyno|eddy|load|last",
           "load|last|current|duty|charge|"
           "carga|carico|percent",
           "engine|motor"},
    Naming{"retarder_torque", "retarder"},
    Naming{"roller_speed", "roller|rolle|rollen|drum|rouleau|rodillo|rullo",
           "speed|drehzahl|rpm|vitesse|velocidad|velocita|geschwindigkeit|omega"},
    Naming{"road_speed", "vehicle|road|wheel|ground|gps|fahrzeug|fahr|vehicule|vehiculo|veicolo|roue|rueda|ruota|car",
           "speed|geschwindigkeit|vitesse|velocidad|velocita|kmh|mph"},
    Naming{"road_speed", "geschwindigkeit|mph|kmh|kph"},
    Naming{"engine_speed",
           "rpm|drehzahl|motordrehzahl|revs|regime|regimen|giri|tours|umdrehungen|tachometer|tacho|"
           "revoluciones",
           {},
           kOtherShaft},
    Naming{"engine_speed", "engine|motor|moteur|motore|mot|crank|kurbelwelle|eng",
           "speed|drehzahl|vitesse|velocidad|velocita|spd|rev|n", kOtherShaft},
    Naming{"power",
           "power|leistung|motorleistung|puissance|potencia|potenza|pwr|hp|kw|bhp|whp|horsepower|chevaux",
           {},
           "steering|supply|loss|schlepp|verlust|pertes|perdida|perdite|battery|limit|mode|voltage|per|specific"},
    Naming{"torque",
           "torque|drehmoment|moment|motormoment|couple|par|coppia|tq|trq|mkp|md",
           {},
           "limit|request|loss|schlepp|verlust|pertes|wheelslip|converter|reduction|per|specific|inertia"},
    Naming{"oil_pressure", "oil|oel|huile|aceite|olio", {}, "level|niveau|stand|temp"},
    Naming{"fuel_pressure", "fuel|kraftstoff|rail", {}, "level|niveau|trim|temp|cut|used|total"},
    Naming{"time",
           "time|zeit|temps|tiempo|tempo|timestamp|elapsed|uhrzeit|clock|heure|hora|ora|timer|sekunden|seconds|"
           "secondes|segundos|secondi|sec|s|t|millis|ms|messzeit",
           {},
           "injection|einspritz|dwell|lap|open|cut|lag|pulse|constant|run"},
};

constexpr std::string_view kSetPoint =
    "target|targ|tgt|setpoint|set|desired|demand|demanded|requested|request|command|"
    "commanded|cmd|soll|sollwert|vorgabe|consigne|cible|objetivo|consigna|obiettivo|"
    "richiesta|richiesto|reference|ref|wanted|limit|limiter|max|maximum|min|minimum|threshold";
constexpr std::string_view kMeasured =
    "actual|measured|ist|istwert|mesure|mesuree|medido|medida|misurato|misurata|meas|"
    "real|reel|raw|uncorrected|observed";
constexpr std::string_view kCorrected = "corrected|corr|korrigiert|korr|corrige|corrigee|corregida|corregido|corretta|"
                                        "corretto|std|normalised|normalized|sae|din|stp|cf";
constexpr std::string_view kGauge = "boost|gauge|relative|relativ|relativdruck|uberdruck|surpression|sobrepresion|"
                                    "sovrapressione|lade|ladedruck|suralimentation|"
                                    "sovralimentazione|sobrealimentacion";
constexpr std::string_view kAbsolute = "abs|absolute|absolut|absolue|absolu|absoluta|assoluta|map";

char folded(unsigned char second) {
    // U+00C0..U+00FF behind a byte C3; what has no letter behind its accent becomes a blank.
    constexpr std::string_view letters = "aaaaaaaceeeeiiiidnooooo ouuuuy saaaaaaaceeeeiiiidnooooo ouuuuy y";
    const size_t at = second - 0x80u;
    return at < letters.size() ? letters[at] : ' ';
}

bool isOneOf(std::string_view word, std::string_view list) {
    while (!list.empty()) {
        const size_t bar = std::min(list.find('|'), list.size());
        const std::string_view known = list.substr(0, bar);
        if (word == known || (known.size() >= 4 && word.find(known) != std::string_view::npos))
            return true;
        list.remove_prefix(std::min(bar + 1, list.size()));
    }
    return false;
}

bool isExactly(std::string_view wanted, std::string_view list) {
    while (!list.empty()) {
        const size_t bar = std::min(list.find('|'), list.size());
        if (list.substr(0, bar) == wanted)
            return true;
        list.remove_prefix(std::min(bar + 1, list.size()));
    }
    return false;
}

bool speakOf(const std::vector<std::string>& words, std::string_view list) {
    return std::any_of(words.begin(), words.end(), [&](const std::string& word) { return isOneOf(word, list); });
}

/// A list of words that must stand by themselves, whatever their length.
bool saysExactly(const std::vector<std::string>& words, std::string_view list) {
    return std::any_of(words.begin(), words.end(), [&](const std::string& word) { return isExactly(word, list); });
}

std::string joined(const std::vector<std::string>& words) {
    std::string out;
    for (const std::string& word : words)
        out += word;
    return out;
}

bool fits(const Naming& naming, const std::vector<std::string>& words) {
    return speakOf(words, naming.first) && (naming.second.empty() || speakOf(words, naming.second)) &&
           !(speakOf(words, naming.never));
}

std::string bareUnit(std::string_view unit) { return unit == "\xCE\xBB" ? "lambda" : joined(wordsOfHeader(unit)); }

/// "SAE" and the like speak of correction only beside a power or torque.
bool canBeCorrected(std::string_view channel) { return channel == "power" || channel == "torque"; }

} // namespace

std::vector<std::string> wordsOfHeader(std::string_view header) {
    std::vector<std::string> out(1);
    char before = ' ';
    for (size_t i = 0; i < header.size(); ++i) {
        const auto c = static_cast<unsigned char>(header[i]);
        char letter = static_cast<char>(c);
        if (c == 0xC3 && i + 1 < header.size()) {
            ++i;
            letter = folded(static_cast<unsigned char>(header[i]));
            if (static_cast<unsigned char>(header[i]) < 0xA0 && letter != ' ') // a capital
                letter = static_cast<char>(std::toupper(static_cast<unsigned char>(letter)));
        }
        const auto u = static_cast<unsigned char>(letter);
        const bool part = u < 0x80 && std::isalnum(u) != 0;
        const bool begins = part && std::isupper(u) && std::islower(static_cast<unsigned char>(before));
        if ((!part || begins) && !out.back().empty())
            out.emplace_back();
        if (part)
            out.back() += static_cast<char>(std::tolower(u));
        before = letter;
    }
    if (out.back().empty())
        out.pop_back();
    return out;
}

bool namesAnotherPart(std::string_view header) {
    const std::vector<std::string> words = wordsOfHeader(header);
    return speakOf(words, kOtherShaft) || speakOf(words, "loss|verlust|schlepp|pertes|perdida|perdite|retarder|clutch|"
                                                         "kupplung|friction|reibung|inertia|starter|alternator");
}

std::optional<Dimension> dimensionOf(std::string_view channelOrRole) {
    if (const ChannelInfo* info = channelInfo(channelOrRole))
        return info->dimension;
    if (channelOrRole == role::kAirTemperature)
        return Dimension::Temperature;
    if (channelOrRole == role::kAirPressure)
        return Dimension::Pressure;
    if (channelOrRole == role::kHumidity)
        return Dimension::Percent;
    return std::nullopt;
}

namespace {

/// A name as it stands, and its words.
HeaderSense senseOfWords(std::string_view header, const std::vector<std::string>& words, std::string_view unitText) {
    HeaderSense out;
    const std::string bare = joined(words);
    const auto unit = unitText.empty() ? std::nullopt : parseUnit(unitText);
    const auto possible = [&](std::string_view channel) {
        const auto dimension = dimensionOf(channel);
        return unitText.empty() || !dimension || (unit && asUnitOf(*unit, *dimension));
    };
    const auto take = [&](std::string_view channel, HeaderSurety surety) {
        if (out.surety >= surety || !possible(channel))
            return;
        out.channel = channel;
        out.surety = surety;
    };
    out.setPoint =
        saysExactly(words, kSetPoint) || std::any_of(words.begin(), words.end(), [](const std::string& word) {
            return word.starts_with("soll") || word.ends_with("soll") || word.ends_with("sollwert");
        });
    out.measured = saysExactly(words, kMeasured);
    out.gauge = speakOf(words, kGauge);
    // "MAP gauge": a word that says it beats the name of the sensor.
    const bool saysGauge = speakOf(words, "gauge|relative|relativ|uberdruck|surpression|sobrepresion|sovrapressione");
    out.absolute = !saysGauge && (saysExactly(words, kAbsolute) || speakOf(words, "absolut"));
    for (const ChannelInfo& channel : standardChannels()) {
        if (header == channel.name)
            take(channel.name, HeaderSurety::Exact);
        else if (bare == joined(wordsOfHeader(channel.name)) || isExactly(bare, channel.otherNames))
            take(channel.name, HeaderSurety::Usual);
    }
    std::vector<std::string> plain; // without what does not name the quantity
    for (const std::string& word : words)
        if (!isExactly(word, kMeasured))
            plain.push_back(word);
    for (const Naming& naming : kNamings)
        if (out.surety == HeaderSurety::Nothing && fits(naming, plain))
            take(naming.channel, HeaderSurety::Words);
    // The two ways to say a mixture: the unit decides.
    if (out.channel == "air_fuel_ratio" && bareUnit(unitText) == "lambda")
        out.channel = "lambda";
    else if (out.channel == "lambda" && bareUnit(unitText) == "afr")
        out.channel = "air_fuel_ratio";
    out.corrected =
        canBeCorrected(out.channel) && saysExactly(words, kCorrected) && !saysExactly(words, "uncorrected|raw");
    return out;
}

} // namespace

HeaderSense senseOf(std::string_view header, std::string_view unitText) {
    HeaderSense out = senseOfWords(header, wordsOfHeader(header), unitText);
    std::vector<std::string> words = wordsOfHeader(header);
    if (out.surety != HeaderSurety::Nothing || words.size() < 2 ||
        words.back().find_first_not_of("0123456789") != std::string::npos)
        return out;
    words.pop_back(); // "MAP 1"
    return senseOfWords("", words, unitText);
}

} // namespace hillrun
