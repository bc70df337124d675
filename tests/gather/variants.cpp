// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "variants.h"

#include <algorithm>
#include <cmath>
#include <fmt/format.h>

namespace hillrun::test {
namespace {

std::string number(double value, int decimals, char decimal, const std::string& thousands) {
    std::string out = fmt::format("{:.{}f}", value, decimals);
    if (decimal != '.')
        std::replace(out.begin(), out.end(), '.', decimal);
    if (!thousands.empty()) {
        const size_t end = std::min(out.find(decimal), out.size());
        const size_t digits = end - (out.front() == '-' ? 1 : 0);
        if (digits > 3)
            out.insert(end - 3, thousands);
    }
    return out;
}

std::string brackets(const WrittenColumn& column) {
    return column.unit.empty() ? column.name : column.name + " [" + column.unit + "]";
}

const std::vector<std::string> kAll{"time",   "engine_speed",        "torque",  "manifold_pressure",
                                    "lambda", "coolant_temperature", "throttle"};

Sheet plain() {
    Sheet out;
    out.columns = {
        {"time", "Time", "s", 1.0, 0.0, 2},        {"engine_speed", "Engine speed", "rpm", 1.0, 0.0, 0},
        {"torque", "Torque", "N.m", 1.0, 0.0, 2},  {"manifold_pressure", "MAP", "kPa", 1.0, 0.0, 1},
        {"lambda", "Lambda", "", 1.0, 0.0, 3},     {"coolant_temperature", "Coolant temperature", "C", 1.0, 0.0, 1},
        {"throttle", "Throttle", "%", 1.0, 0.0, 1}};
    out.header = brackets;
    return out;
}

class Collection {
public:
    void add(const std::string& kind, const std::string& name, const std::function<void(Sheet&)>& change,
             size_t pulls = 1) {
        Variant out{kind, name, plain(), pulls, kAll, 101.325};
        change(out.sheet);
        m_variants.push_back(std::move(out));
    }
    Variant& last() { return m_variants.back(); }
    std::vector<Variant> take() { return std::move(m_variants); }

private:
    std::vector<Variant> m_variants;
};

void addSeparators(Collection& c) {
    const struct {
        const char* name;
        const char* separator;
        char decimal;
    } rows[] = {{"commas", ",", '.'},
                {"semicolons", ";", '.'},
                {"semicolons, decimal commas", ";", ','},
                {"tabs", "\t", '.'},
                {"tabs, decimal commas", "\t", ','},
                {"pipes", "|", '.'},
                {"pipes, decimal commas", "|", ','},
                {"comma and blank", ", ", '.'},
                {"semicolon and blank", "; ", ','}};
    for (const auto& row : rows)
        c.add("separator", row.name, [&](Sheet& s) {
            s.separator = row.separator;
            s.decimal = row.decimal;
        });
    for (const char decimal : {'.', ','})
        c.add("separator", fmt::format("blanks, decimal '{}'", decimal), [&](Sheet& s) {
            s.separator = "   ";
            s.decimal = decimal;
            s.header = [](const WrittenColumn& column) {
                std::string name = column.name;
                std::replace(name.begin(), name.end(), ' ', '_');
                return column.unit.empty() ? name : name + "[" + column.unit + "]";
            };
        });
}

std::string wide(const std::string& text, bool bigEnd, bool mark) {
    std::string out = mark ? (bigEnd ? "\xFE\xFF" : "\xFF\xFE") : "";
    for (const char ch : text) {
        if (bigEnd)
            out += '\0';
        out += ch;
        if (!bigEnd)
            out += '\0';
    }
    return out;
}

std::string replaced(std::string text, const std::string& what, const std::string& by) {
    for (size_t at = text.find(what); at != std::string::npos; at = text.find(what, at + by.size()))
        text.replace(at, what.size(), by);
    return text;
}

void addBytes(Collection& c) {
    const std::pair<const char*, std::function<std::string(std::string)>> rows[] = {
        {"CRLF", [](const std::string& t) { return replaced(t, "\n", "\r\n"); }},
        {"CR", [](const std::string& t) { return replaced(t, "\n", "\r"); }},
        {"byte-order mark", [](const std::string& t) { return "\xEF\xBB\xBF" + t; }},
        {"UTF-16 little end, mark", [](const std::string& t) { return wide(t, false, true); }},
        {"UTF-16 big end, mark", [](const std::string& t) { return wide(t, true, true); }},
        {"UTF-16 little end, no mark", [](const std::string& t) { return wide(t, false, false); }},
        {"UTF-16 big end, no mark", [](const std::string& t) { return wide(t, true, false); }},
        {"NUL tail", [](const std::string& t) { return t + std::string(512, '\0'); }},
        {"end mark", [](const std::string& t) { return t + "\x1A"; }},
        {"no line end at the end", [](const std::string& t) { return t.substr(0, t.size() - 1); }},
        {"blank lines at both ends", [](const std::string& t) { return "\n\n" + t + "\n\n\n"; }},
    };
    for (const auto& [name, change] : rows)
        c.add("bytes", name, [&, change = change](Sheet& s) { s.bytes = change; });
    c.add("bytes", "Latin-1 degree sign", [](Sheet& s) {
        s.columns[5].unit = "\xB0"
                            "C";
    });
    c.add("bytes", "UTF-8 degree sign", [](Sheet& s) {
        s.columns[5].unit = "\xC2\xB0"
                            "C";
    });
}

void addUnitPlaces(Collection& c) {
    const std::pair<const char*, std::function<std::string(const std::string&, const std::string&)>> rows[] = {
        {"parentheses", [](const auto& n, const auto& u) { return n + " (" + u + ")"; }},
        {"brackets, no blank", [](const auto& n, const auto& u) { return n + "[" + u + "]"; }},
        {"slash", [](const auto& n, const auto& u) { return n + "/" + u; }},
        {"underscore", [](const auto& n, const auto& u) { return n + "_" + u; }},
        {"blank", [](const auto& n, const auto& u) { return n + " " + u; }},
        {"colon", [](const auto& n, const auto& u) { return n + ": " + u; }},
        {"in", [](const auto& n, const auto& u) { return n + " in " + u; }},
        {"dash", [](const auto& n, const auto& u) { return n + " - " + u; }},
    };
    for (const auto& [name, make] : rows)
        c.add("unit place", name, [make = make](Sheet& s) {
            s.header = [make](const WrittenColumn& column) {
                return column.unit.empty() ? column.name : make(column.name, column.unit);
            };
        });
    c.add("unit place", "comma, quoted", [](Sheet& s) {
        s.header = [](const WrittenColumn& column) {
            return column.unit.empty() ? column.name : "\"" + column.name + ", " + column.unit + "\"";
        };
    });
    const auto bare = [](const WrittenColumn& column) { return column.name; };
    c.add("unit place", "line below", [&](Sheet& s) {
        s.header = bare;
        s.below = {"s,rpm,N.m,kPa,-,C,%"};
    });
    c.add("unit place", "line below, brackets", [&](Sheet& s) {
        s.header = bare;
        s.below = {"[s],[rpm],[N.m],[kPa],[],[C],[%]"};
    });
    c.add("unit place", "line below, blank where none", [&](Sheet& s) {
        s.header = bare;
        s.below = {"s,rpm,Nm,kPa,,degC,%"};
    });
    c.add("unit place", "line above", [&](Sheet& s) {
        s.header = bare;
        s.above = {"s,rpm,N.m,kPa,-,C,%"};
    });
    c.add("unit place", "line below, the first blank, tabs", [&](Sheet& s) {
        s.separator = "\t";
        s.header = bare;
        s.columns.insert(s.columns.begin(), {"", "Set", "", 1, 0, 0, [](int) { return std::string("1"); }});
        s.below = {"\ts\trpm\tN.m\tkPa\t-\tC\t%"};
    });
    c.add("unit place", "nowhere", [&](Sheet& s) { s.header = bare; });
    c.add("unit place", "rule, types and numbers below", [&](Sheet& s) {
        s.below = {"-------,-------,-----,-----,----,----,----", "float,int,float,float,float,float,float",
                   "1,2,3,4,5,6,7"};
    });
}

void addUnits(Collection& c) {
    struct Row {
        size_t column;
        const char* unit;
        double scale;
        double offset = 0.0;
        const char* name = nullptr;
    };
    // Factors: exact by definition (pound, foot, standard gravity, metric horsepower), NIST SP 811 for mercury.
    constexpr double kPi = 3.14159265358979323846;
    const Row rows[] = {
        {1, "1/min", 1},
        {1, "min-1", 1},
        {1, "tr/min", 1},
        {1, "U/min", 1},
        {1, "giri/min", 1},
        {1, "rad/s", kPi / 30},
        {1, "Hz", 1.0 / 60},
        {1, "krpm", 0.001},
        {1, "rpm x1000", 0.001},
        {2, "Nm", 1},
        {2, "N\xC2\xB7m", 1},
        {2, "lb-ft", 1 / 1.3558179483314004},
        {2, "ft.lbf", 1 / 1.3558179483314004},
        {2, "lbf ft", 1 / 1.3558179483314004},
        {2, "kgf.m", 1 / 9.80665},
        {2, "mkp", 1 / 9.80665},
        {2, "daN.m", 0.1},
        {3, "bar", 0.01},
        {3, "bar(a)", 0.01},
        {3, "bar abs", 0.01},
        {3, "mbar", 10},
        {3, "hPa", 10},
        {3, "psi", 1 / 6.894757293168361},
        {3, "psia", 1 / 6.894757293168361},
        {3, "inHg", 1 / 3.386388640341},
        {3, "Pa", 1000},
        {3, "bar(g)", 0.01, -1.01325},
        {3, "kPa(g)", 1, -101.325},
        {3, "psig", 1 / 6.894757293168361, -101.325 / 6.894757293168361},
        {3, "kPa gauge", 1, -101.325},
        {3, "psi", 1 / 6.894757293168361, -101.325 / 6.894757293168361, "Boost"},
        {3, "psia", 1 / 6.894757293168361, 0.0, "Boost"},
        {3, "bar abs", 0.01, 0.0, "Boost pressure"},
        {3, "kPa abs", 1, 0.0, "Boost pressure"},
        {3, "kPa", 1, 0.0, "Absolute boost pressure"},
        {3, "bar", 0.01, -1.01325, "Gauge boost"},
        {5, "F", 1.8, 32},
        {5, "degF", 1.8, 32},
        {5,
         "\xC2\xB0"
         "F",
         1.8, 32},
        {5, "K", 1, 273.15},
        {5,
         "\xC2\xBA"
         "C",
         1},
        {5, "deg C", 1},
        {0, "ms", 1000},
        {0, "msec", 1000},
        {0, "us", 1e6},
        {0, "\xC2\xB5s", 1e6},
        {0, "min", 1.0 / 60},
        {0, "sec", 1},
    };
    for (const Row& row : rows)
        c.add("unit", fmt::format("{} {}", row.name ? row.name : "", row.unit), [&](Sheet& s) {
            WrittenColumn& column = s.columns[row.column];
            column.unit = row.unit;
            column.scale = row.scale;
            column.offset = row.offset;
            column.decimals = row.scale >= 1000 ? 0 : (row.scale < 0.5 ? 6 : 4);
            if (row.name)
                column.name = row.name;
        });
    const std::pair<const char*, double> powers[] = {
        {"kW", 1},          {"hp", 0.74569987158227022}, {"bhp", 0.74569987158227022},
        {"PS", 0.73549875}, {"ch", 0.73549875},          {"cv", 0.73549875},
        {"W", 0.001}};
    for (const auto& [unit, kw] : powers) {
        c.add("unit", fmt::format("power in {} for torque", unit),
              [&, unit = unit, kw = kw](Sheet& s) { s.columns[2] = {"power", "Power", unit, 1.0 / kw, 0.0, 3}; });
        c.last().needs = {"time", "engine_speed", "power", "manifold_pressure"};
    }
    const struct {
        const char* what;
        double torque;
        double power;
    } bare[] = {{"N.m and kW", 1, 1},
                {"lb-ft and hp", 1 / 1.3558179483314004, 1 / 0.74569987158227022},
                {"N.m and PS", 1, 1 / 0.73549875},
                {"N.m and hp", 1, 1 / 0.74569987158227022},
                {"kgf.m and PS", 1 / 9.80665, 1 / 0.73549875}};
    for (const auto& row : bare) {
        c.add("unit", fmt::format("{}, neither said", row.what), [&](Sheet& s) {
            s.columns[2].unit.clear();
            s.columns[2].scale = row.torque;
            s.columns[2].decimals = 4;
            s.columns.push_back({"power", "Power", "", row.power, 0.0, 4});
        });
        c.last().needs.emplace_back("power");
    }
    c.add("unit", "temperatures in F, not said",
          [](Sheet& s) { s.columns[5] = {"coolant_temperature", "Coolant temp", "", 1.8, 32, 2}; });
    c.add("unit", "milliseconds, not said", [](Sheet& s) { s.columns[0] = {"time", "Time", "", 1000, 0, 0}; });
    c.add("unit", "a unit nobody knows beside", [](Sheet& s) {
        s.columns.push_back({"", "Smell", "olf", 1, 0, 0, [](int) { return std::string("3"); }});
    });
}

void addNames(Collection& c) {
    const std::pair<const char*, std::vector<const char*>> rows[] = {
        {"German",
         {"Zeit", "Drehzahl", "Drehmoment", "Ladedruck absolut", "Lambda", "K\xC3\xBChlmitteltemperatur",
          "Drosselklappe"}},
        {"German, engine named",
         {"Messzeit", "Motordrehzahl", "Motormoment", "Saugrohrdruck", "Lambda", "K\xC3\xBChlwassertemperatur",
          "Drosselklappenwinkel"}},
        {"French",
         {"Temps", "R\xC3\xA9gime", "Couple", "Pression admission", "Lambda", "Temp\xC3\xA9rature eau", "Papillon"}},
        {"French, engine named",
         {"Temps", "R\xC3\xA9gime moteur", "Couple moteur", "Pression collecteur", "Lambda",
          "Temp. liquide de refroidissement", "Position papillon"}},
        {"Spanish",
         {"Tiempo", "R\xC3\xA9gimen", "Par", "Presi\xC3\xB3n admisi\xC3\xB3n", "Lambda", "Temperatura agua",
          "Mariposa"}},
        {"Spanish, engine named",
         {"Tiempo", "Velocidad motor", "Par motor", "Presi\xC3\xB3n colector", "Lambda", "Temperatura refrigerante",
          "Posici\xC3\xB3n mariposa"}},
        {"Italian", {"Tempo", "Giri", "Coppia", "Pressione aspirazione", "Lambda", "Temperatura acqua", "Farfalla"}},
        {"Italian, engine named",
         {"Tempo", "Giri motore", "Coppia motore", "Pressione collettore", "Lambda", "Temperatura acqua",
          "Posizione farfalla"}},
        {"English, short", {"t", "RPM", "TQ", "MAP", "LAM", "ECT", "TPS"}},
        {"English, long",
         {"Elapsed time", "Engine revolutions (revs)", "Brake torque", "Manifold absolute pressure", "Lambda 1",
          "Engine coolant temperature", "Throttle position"}},
        {"camel case",
         {"LogTime", "EngineSpeed", "BrakeTorque", "ManifoldPressure", "Lambda", "CoolantTemp", "ThrottlePosition"}},
        {"snake case",
         {"time", "engine_speed", "torque", "manifold_pressure", "lambda", "coolant_temperature", "throttle"}},
    };
    for (const auto& [language, names] : rows)
        c.add("name", language, [&, names = names](Sheet& s) {
            for (size_t i = 0; i < names.size(); ++i)
                s.columns[i].name = names[i];
        });
    const struct {
        size_t column;
        const char* name;
        const char* unit;
    } odd[] = {{2, "M", "Nm"},        {2, "Md", "N.m"},     {1, "n_mot", "1/min"},   {1, "nMotor", "U/min"},
               {1, "ENGINE_RPM", ""}, {1, "Revs", "1/min"}, {3, "P_MAN", "kPa"},     {3, "MAP sensor", "kPa"},
               {4, "AFR", "lambda"},  {5, "T_water", "C"},  {5, "Wassertemp.", "C"}, {6, "Pedal position", "%"}};
    for (const auto& row : odd)
        c.add("name", fmt::format("{} in {}", row.name, row.unit), [&](Sheet& s) {
            s.columns[row.column].name = row.name;
            s.columns[row.column].unit = row.unit;
            s.columns.push_back({"", "Sollmoment", "Nm", 1, 0, 0, [](int) { return std::string("150"); }});
            s.columns.push_back({"", "RPM limit", "rpm", 1, 0, 0, [](int) { return std::string("7500"); }});
            s.header = [](const WrittenColumn& column) { // a blank before the unit
                return column.unit.empty() ? column.name : column.name + " " + column.unit;
            };
        });
    c.add("name", "Latin-1 German", [](Sheet& s) {
        s.columns[1].name = "Drehzahl";
        s.columns[5].name = "K\xFChlmitteltemperatur";
    });
    c.add("name", "set point before the measured one", [](Sheet& s) {
        s.columns.insert(s.columns.begin() + 3,
                         {"", "MAP target", "kPa", 1, 0, 0, [](int) { return std::string("180"); }});
        s.columns.insert(s.columns.begin() + 1,
                         {"", "Engine speed setpoint", "rpm", 1, 0, 0, [](int) { return std::string("9000"); }});
    });
    c.add("name", "actual behind desired", [](Sheet& s) {
        s.columns[1].name = "Engine speed actual";
        s.columns.insert(s.columns.begin() + 1,
                         {"", "Engine speed desired", "rpm", 1, 0, 0, [](int) { return std::string("9000"); }});
    });
    c.add("name", "other shafts first", [](Sheet& s) {
        s.columns.insert(s.columns.begin() + 1,
                         {"", "Wheel speed", "rpm", 1, 0, 0, [](int row) { return fmt::format("{}", 300 + row); }});
        s.columns.insert(s.columns.begin() + 1,
                         {"", "Turbo speed", "rpm", 1, 0, 0, [](int row) { return fmt::format("{}", 90000 + row); }});
    });
    c.add("name", "corrected and uncorrected torque", [](Sheet& s) {
        s.columns[2].name = "Torque uncorrected";
        s.columns.insert(s.columns.begin() + 2, {"torque", "Torque corrected", "N.m", 1.04, 0, 2});
    });
    c.add("name", "a voltage under the same name", [](Sheet& s) {
        s.columns.insert(s.columns.begin() + 4, {"", "Lambda", "V", 1, 0, 0, [](int) { return std::string("0.451"); }});
    });
}

void addCells(Collection& c) {
    for (const char* word : {"OL", "n/a", "#N/A", "ERR", "---", "TRUE", "inf", "NaN", "NULL", "-", "", "?"})
        c.add("cell", fmt::format("\"{}\" for a blank", word), [&](Sheet& s) {
            s.cell = [word](int row, size_t column, const std::string& cell) {
                return column == 4 && row % 7 == 3 ? std::string(word) : cell;
            };
        });
    for (const char* fill : {"-999", "-9999", "65535", "-999.25", "32767"})
        c.add("cell", fmt::format("{} for a blank", fill), [&](Sheet& s) {
            s.cell = [fill](int row, size_t column, const std::string& cell) {
                return (column == 4 || column == 5) && row % 9 == 4 ? std::string(fill) : cell;
            };
        });
    c.add("cell", "units in the cells", [](Sheet& s) {
        s.header = [](const WrittenColumn& column) { return column.name; };
        s.cell = [](int, size_t column, const std::string& cell) {
            constexpr const char* units[] = {" s", " rpm", " N.m", " kPa", "", " C", " %"};
            return cell + units[column];
        };
    });
    c.add("cell", "quotes everywhere", [](Sheet& s) { s.cellQuote = "\""; });
    c.add("cell", "quotes and decimal commas", [](Sheet& s) {
        s.cellQuote = "\"";
        s.decimal = ',';
    });
    for (const char* mark : {",", "'", " ", "\xC2\xA0", "\xE2\x80\xAF"})
        c.add("cell", fmt::format("thousands mark '{}'", mark), [&](Sheet& s) {
            s.separator = ";";
            s.thousands = mark;
        });
    c.add("cell", "thousands mark '.' and decimal commas", [](Sheet& s) {
        s.separator = ";";
        s.thousands = ".";
        s.decimal = ',';
    });
    c.add("cell", "exponents", [](Sheet& s) {
        s.cell = [](int row, size_t column, const std::string& cell) {
            return column == 2 ? fmt::format("{:.5e}", variantTruth("torque", row)) : cell;
        };
    });
    c.add("cell", "typographic minus beside", [](Sheet& s) {
        s.columns.push_back({"", "Slip", "%", 1, 0, 0, [](int) {
                                 return std::string("\xE2\x88\x92"
                                                    "1.5");
                             }});
    });
    c.add("row", "separators at the end", [](Sheet& s) { s.rowEnd = ","; });
    c.add("row", "three separators at the end", [](Sheet& s) { s.rowEnd = ",,,"; });
    c.add("row", "short rows", [](Sheet& s) {
        s.bytes = [](const std::string& text) {
            std::string out;
            size_t line = 0;
            for (size_t from = 0; from < text.size();) {
                const size_t end = text.find('\n', from);
                std::string one = text.substr(from, end - from);
                if (++line % 11 == 0)
                    one.resize(one.rfind(','));
                out += one + "\n";
                from = end + 1;
            }
            return out;
        };
    });
    c.add("row", "a column of words", [](Sheet& s) {
        s.columns.push_back(
            {"", "Status", "", 1, 0, 0, [](int row) { return std::string(row < 20 ? "idle" : "run"); }});
    });
    c.add("row", "a column of words first, statistics below", [](Sheet& s) {
        s.columns.insert(s.columns.begin(),
                         {"", "Status", "", 1, 0, 0, [](int row) { return std::string(row < 20 ? "idle" : "run"); }});
        s.after = {"Average,2.0,4500,100,100,0.88,85.5,99.5"};
    });
    c.add("row", "a column of marks, mostly blank", [](Sheet& s) {
        s.columns.push_back({"", "Marker", "", 1, 0, 0, [](int row) { return std::string(row == 50 ? "lap" : ""); }});
    });
    c.add("row", "statistics below", [](Sheet& s) {
        s.after = {"Minimum,2000,80,95,0.84,85,99", "Maximum,7000,120,105,0.92,86,100",
                   "Average,4500,100,100,0.88,85.5,99.5"};
    });
    c.add("row", "a word below", [](Sheet& s) { s.after = {"", "End of file"}; });
    c.add("row", "comments between", [](Sheet& s) { s.before = {{40, "# gear held"}, {120, "// look here"}}; });
    c.add("row", "a blank line between", [](Sheet& s) { s.before = {{100, ""}}; });
    c.add("row", "blank lines between all",
          [](Sheet& s) { s.bytes = [](const std::string& text) { return replaced(text, "\n", "\n\n"); }; });
}

void addTitles(Collection& c) {
    c.add("title", "five lines", [](Sheet& s) {
        s.above = {"Shed logger export", "Operator: Ada", "Engine: flat twin", "Recorded: 2026-05-16 09:12:00", ""};
    });
    c.add("title", "as cells", [](Sheet& s) {
        s.above = {"Shed logger,,,,,,", "Channels,7,,,,,", "Ambient temp,21.5,C,,,,"};
    });
    c.add("title", "numbers above", [](Sheet& s) { s.above = {"1,2", "Serial,12345", "Version,3,1"}; });
    c.add("title", "1500 lines", [](Sheet& s) {
        for (int i = 0; i < 1500; ++i)
            s.above.push_back(fmt::format("Parameter {} = {}", i, i * 3));
    });
    c.add("title", "comments with signs", [](Sheet& s) { s.above = {"# made by a script", "# 2026-05-16", "#"}; });
    c.add("title", "header behind a sign",
          [](Sheet& s) { s.bytes = [](const std::string& text) { return "# " + text; }; });
    c.add("title", "key=value lines", [](Sheet& s) { s.above = {"date=2026-05-16", "rate=50", "[data]"}; });
    c.add("title", "a sentence with commas", [](Sheet& s) {
        s.above = {"Pull number 3, collector fitted, warm, second gear, no wind, dry, nobody else there"};
    });
}

void addTimes(Collection& c) {
    const auto clock = [](double start_s, int decimals, const char* mark) {
        return [=](int row) {
            const double t = start_s + kVariantStep_s * row;
            const int whole = static_cast<int>(std::floor(t + 1e-9));
            const double rest = t - whole;
            std::string out = fmt::format("{:02}:{:02}:{:02}", whole / 3600 % 24, whole / 60 % 60, whole % 60);
            if (decimals > 0)
                out += mark + fmt::format("{:.{}f}", std::max(rest, 0.0), decimals).substr(2);
            return out;
        };
    };
    c.add("time", "clock", [&](Sheet& s) { s.columns[0] = {"", "Time", "", 1, 0, 0, clock(33120, 2, ".")}; });
    c.add("time", "clock, comma", [&](Sheet& s) {
        s.separator = ";";
        s.decimal = ',';
        s.columns[0] = {"", "Zeit", "", 1, 0, 0, clock(33120, 3, ",")};
    });
    c.add("time", "clock over midnight",
          [&](Sheet& s) { s.columns[0] = {"", "Time", "", 1, 0, 0, clock(86398, 2, ".")}; });
    c.add("time", "ISO 8601", [&](Sheet& s) {
        s.columns[0] = {"",
                        "Timestamp",
                        "",
                        1,
                        0,
                        0,
                        [&clock](int row) { return "2026-05-16T" + clock(33120, 3, ".")(row) + "Z"; }};
        s.columns[0].text = [text = clock(33120, 3, ".")](int row) { return "2026-05-16T" + text(row) + "Z"; };
    });
    c.add("time", "date and clock in one", [&](Sheet& s) {
        s.columns[0] = {
            "", "Time", "", 1, 0, 0, [text = clock(33120, 2, ".")](int row) { return "16.05.2026 " + text(row); }};
    });
    c.add("time", "date and clock in two columns", [&](Sheet& s) {
        s.columns[0] = {"", "Time", "", 1, 0, 0, clock(33120, 2, ".")};
        s.columns.insert(s.columns.begin(), {"", "Date", "", 1, 0, 0, [](int) { return std::string("2026-05-16"); }});
    });
    c.add("time", "serial days", [](Sheet& s) { s.columns[0] = {"time", "Time", "", 1.0 / 86400, 46158.383333, 9}; });
    c.add("time", "seconds since 1970", [](Sheet& s) { s.columns[0] = {"time", "Timestamp", "s", 1, 1778922720, 2}; });
    c.add("time", "milliseconds since 1970",
          [](Sheet& s) { s.columns[0] = {"time", "Timestamp", "ms", 1000, 1778922720000, 0}; });
    c.add("time", "sample number, rate above", [](Sheet& s) {
        s.columns[0] = {"", "Sample", "", 1, 0, 0, [](int row) { return std::to_string(row); }};
        s.above = {"Sample rate: 50 Hz"};
    });
    c.add("time", "no time, rate above", [](Sheet& s) {
        s.columns.erase(s.columns.begin());
        s.above = {"Sampling rate,50,Hz"};
    });
    c.add("time", "no time, interval above", [](Sheet& s) {
        s.columns.erase(s.columns.begin());
        s.above = {"Interval: 20 ms"};
    });
    c.add("time", "begins late", [](Sheet& s) { s.columns[0].offset = 734.5; });
    c.add("time", "begins before zero", [](Sheet& s) { s.columns[0].offset = -1.0; });
}

void addSeveral(Collection& c) {
    const auto twice = [](Sheet& s) {
        s.rows = 2 * kVariantRows;
        s.truthRow = [](int row) { return row % kVariantRows; };
    };
    c.add(
        "several", "time begins anew", [&](Sheet& s) { twice(s); }, 2);
    c.add(
        "several", "run column, time goes on",
        [&](Sheet& s) {
            twice(s);
            s.columns[0] = {"", "Time", "s", 1, 0, 0, [](int row) { return fmt::format("{:.2f}", 0.02 * row); }};
            s.columns.insert(s.columns.begin(),
                             {"", "Run", "", 1, 0, 0, [](int row) { return std::to_string(1 + row / kVariantRows); }});
        },
        2);
    c.add(
        "several", "run column of words",
        [&](Sheet& s) {
            twice(s);
            s.columns.push_back(
                {"", "Pull", "", 1, 0, 0, [](int row) { return std::string(row < kVariantRows ? "base" : "pipe"); }});
        },
        2);
    c.add(
        "several", "blank line between",
        [&](Sheet& s) {
            twice(s);
            s.before = {{kVariantRows, ""}};
        },
        2);
    c.add(
        "several", "header again",
        [&](Sheet& s) {
            twice(s);
            s.before = {{kVariantRows, "Time [s],Engine speed [rpm],Torque [N.m],MAP [kPa],Lambda,Coolant temperature "
                                       "[C],Throttle [%]"}};
        },
        2);
    c.add(
        "several", "a gap",
        [&](Sheet& s) {
            twice(s);
            s.columns[0] = {"",
                            "Time",
                            "s",
                            1,
                            0,
                            0,
                            [](int row) { return fmt::format("{:.2f}", 0.02 * row + (row < kVariantRows ? 0 : 60)); }};
        },
        2);
    c.add(
        "several", "idle, pull, idle, pull",
        [&](Sheet& s) {
            s.rows = 2 * (kVariantRows + 100);
            s.truthRow = [](int row) { return std::max(0, row % (kVariantRows + 100) - 100); };
            s.columns[0] = {"", "Time", "s", 1, 0, 0, [](int row) { return fmt::format("{:.2f}", 0.02 * row); }};
        },
        2);
    c.last().firstRowsOnly = true;
    c.add(
        "several", "three of them, run column first, words below",
        [&](Sheet& s) {
            s.rows = 3 * kVariantRows;
            s.truthRow = [](int row) { return row % kVariantRows; };
            s.columns.insert(s.columns.begin(), {"", "Run name", "", 1, 0, 0, [](int row) {
                                                     return std::string(1, static_cast<char>('A' + row / kVariantRows));
                                                 }});
            s.after = {"Max,2.0,7000,100,100,0.88,85.5,99.5"};
        },
        3);
    c.add(
        "several", "pull, coasting down, pull, coasting down",
        [&](Sheet& s) {
            s.rows = 2 * kVariantRows + 300;
            s.truthRow = [](int row) {
                if (row < kVariantRows)
                    return row;
                if (row < kVariantRows + 150)
                    return std::max(0, kVariantRows - 1 - (row - kVariantRows) * 3);
                return row < kVariantRows + 300 ? 0 : row - kVariantRows - 300;
            };
            s.columns[0] = {"", "Time", "s", 1, 0, 0, [](int row) { return fmt::format("{:.2f}", 0.02 * row); }};
        },
        2);
    c.last().firstRowsOnly = true;
    for (const auto& [unit, scale] : {std::pair{"rad/s", 3.14159265358979323846 / 30}, std::pair{"krpm", 0.001}}) {
        c.add(
            "several", fmt::format("idle, pull, idle, pull in {}", unit),
            [&, unit = unit, scale = scale](Sheet& s) {
                s.rows = 2 * (kVariantRows + 100);
                s.truthRow = [](int row) { return std::max(0, row % (kVariantRows + 100) - 100); };
                s.columns[0] = {"", "Time", "s", 1, 0, 0, [](int row) { return fmt::format("{:.2f}", 0.02 * row); }};
                s.columns[1] = {"engine_speed", "Engine speed", unit, scale, 0, 5};
            },
            2);
        c.last().firstRowsOnly = true;
    }
    const auto beside = [](Sheet& s, const std::function<std::string(const std::string&, int)>& name) {
        const auto once = s.columns;
        s.columns.clear();
        for (int run = 1; run <= 2; ++run)
            for (WrittenColumn column : once) {
                column.name = name(column.name, run);
                s.columns.push_back(column);
            }
    };
    c.add(
        "several", "columns beside each other, same names",
        [&](Sheet& s) { beside(s, [](const std::string& name, int) { return name; }); }, 2);
    c.add(
        "several", "columns beside each other, numbered",
        [&](Sheet& s) { beside(s, [](const std::string& name, int run) { return fmt::format("{} {}", name, run); }); },
        2);
    c.add(
        "several", "columns beside each other, runs named above",
        [&](Sheet& s) {
            beside(s, [](const std::string& name, int) { return name; });
            s.above = {"Run 1,,,,,,,Run 2,,,,,,"};
        },
        2);
}

void addDoubts(Collection& c) {
    c.add("sense", "torque all zero, power beside", [](Sheet& s) {
        s.columns[2] = {"", "Torque", "N.m", 1, 0, 0, [](int) { return std::string("0"); }};
        s.columns.push_back({"power", "Power", "kW", 1, 0, 3});
    });
    c.last().needs = {"time", "engine_speed", "power"};
    c.add("sense", "torque negative", [](Sheet& s) { s.columns[2].scale = -1.0; });
    c.add("sense", "torque and power agree", [](Sheet& s) { s.columns.push_back({"power", "Power", "kW", 1, 0, 3}); });
    c.add("sense", "a gauge pressure under the name of the absolute one",
          [](Sheet& s) { s.columns[3] = {"manifold_pressure", "MAP gauge", "kPa", 1, -101.325, 2}; });
    c.add("unit place", "nowhere but at time", [](Sheet& s) {
        for (size_t i : {1u, 2u, 3u, 5u, 6u})
            s.columns[i].unit.clear();
        s.columns.erase(s.columns.begin() + 5, s.columns.end());
        s.columns.erase(s.columns.begin() + 3);
    });
    c.last().needs = {"time", "engine_speed", "torque", "lambda"};
    for (const auto& [unit, kw] :
         {std::pair{"kW", 1.0}, std::pair{"hp", 0.74569987158227022}, std::pair{"PS", 0.73549875}}) {
        c.add("unit", fmt::format("kgf.m said, power in {} not", unit), [&, kw = kw](Sheet& s) {
            s.columns[2].unit = "kgf.m";
            s.columns[2].scale = 1 / 9.80665;
            s.columns[2].decimals = 5;
            s.columns.push_back({"power", "Power", "", 1 / kw, 0, 4});
        });
        c.last().needs.emplace_back("power");
    }
    c.add("sense", "pressure from the surrounding air, said",
          [](Sheet& s) { s.columns[3] = {"manifold_pressure", "Boost (gauge)", "kPa", 1, -101.325, 2}; });
}

} // namespace

double variantTruth(const std::string& channel, int row) {
    const double x = static_cast<double>(row) / (kVariantRows - 1);
    const double rpm = std::round(2000.0 + 5000.0 * x);
    const double torque = std::round((95.0 + 40.0 * x - 55.0 * x * x) * 100.0) / 100.0;
    if (channel == "time")
        return kVariantStep_s * row;
    if (channel == "engine_speed")
        return rpm;
    if (channel == "torque")
        return torque;
    if (channel == "power")
        return torque * rpm * 3.14159265358979323846 / 30.0 / 1000.0;
    if (channel == "manifold_pressure")
        return std::round((103.0 + 60.0 * std::min(1.0, 1.6 * x)) * 10.0) / 10.0;
    if (channel == "lambda")
        return std::round((0.91 - 0.05 * x) * 1000.0) / 1000.0;
    if (channel == "coolant_temperature")
        return std::round((84.0 + 2.0 * x) * 10.0) / 10.0;
    return 99.5; // throttle
}

std::string writeSheet(const Sheet& sheet) {
    std::string out;
    const auto line = [&](const std::string& text) { out += text + "\n"; };
    for (const std::string& text : sheet.above)
        line(text);
    std::string header;
    for (size_t i = 0; i < sheet.columns.size(); ++i)
        header += (i ? sheet.separator : "") + sheet.cellQuote + sheet.header(sheet.columns[i]) + sheet.cellQuote;
    if (sheet.withHeader)
        line(header + sheet.rowEnd);
    for (const std::string& text : sheet.below)
        line(text);
    for (int row = 0; row < sheet.rows; ++row) {
        if (const auto before = sheet.before.find(row); before != sheet.before.end())
            line(before->second);
        std::string text;
        const int truthRow = sheet.truthRow ? sheet.truthRow(row) : row;
        for (size_t i = 0; i < sheet.columns.size(); ++i) {
            const WrittenColumn& column = sheet.columns[i];
            std::string cell = column.text
                                   ? column.text(row)
                                   : number(variantTruth(column.channel, truthRow) * column.scale + column.offset,
                                            column.decimals, sheet.decimal, sheet.thousands);
            if (sheet.cell)
                cell = sheet.cell(row, i, cell);
            text += (i ? sheet.separator : "") + sheet.cellQuote + cell + sheet.cellQuote;
        }
        line(text + sheet.rowEnd);
    }
    for (const std::string& text : sheet.after)
        line(text);
    return sheet.bytes ? sheet.bytes(out) : out;
}

std::vector<Variant> allVariants() {
    Collection c;
    addSeparators(c);
    addBytes(c);
    addUnitPlaces(c);
    addUnits(c);
    addNames(c);
    addCells(c);
    addTitles(c);
    addTimes(c);
    addSeveral(c);
    addDoubts(c);
    return c.take();
}

} // namespace hillrun::test
