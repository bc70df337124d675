// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "logbook/logbook.h"

#include "core/errors/data_error.h"
#include "formats/record_json.h"
#include "formats/statement_json.h"
#include "logbook/schema.h"

#include <cmath>
#include <filesystem>
#include <QJsonArray>
#include <QJsonDocument>
#include <QJsonObject>
#include <QSysInfo>

namespace hillrun {
namespace {

/// Raised when an entry says more of the same day than before.
constexpr int kEntryVersion = 2;
constexpr int kThumbnailPoints = 24;
constexpr auto kColumns =
    "id, revision, name, date, article, cell, operator, builds, summary, peak_kw, host, path, stamp, "
    "thumbnail, answer, entry_version";

QString qs(const std::string& text) {
    QString out = QString::fromStdString(text);
    out.remove(QChar::Null); // a server takes none
    return out;
}

/// A few points of each build's mean curve.
QString thumbnailOf(const DayRecord& record) {
    std::map<std::string, std::vector<const PullRecord*>> pulls;
    for (const PullRecord& pull : record.pulls)
        pulls[pull.build].push_back(&pull);
    for (const PaperCurve& paper : record.papers)
        pulls[paper.curve.build].push_back(&paper.curve);
    QJsonObject out;
    for (const auto& [build, all] : pulls) {
        const PullRecord& first = *all.front(); // the others look the same at this size
        QJsonArray curve;
        for (int i = 0; i < kThumbnailPoints; ++i) {
            const double at = static_cast<double>(first.power_w.size() - 1) * i / (kThumbnailPoints - 1);
            const double power = first.power_w.empty() ? NAN : static_cast<double>(first.power_w[std::lround(at)]);
            curve.append(std::isfinite(power) ? std::round(power / 10.0) / 100.0 : 0.0);
        }
        out.insert(qs(build), curve);
    }
    return QString::fromUtf8(QJsonDocument(out).toJson(QJsonDocument::Compact));
}

std::map<std::string, std::vector<float>> thumbnailFrom(const QString& text) {
    std::map<std::string, std::vector<float>> out;
    const QJsonObject object = QJsonDocument::fromJson(text.toUtf8()).object();
    for (auto it = object.begin(); it != object.end(); ++it) {
        const QJsonArray curve = it.value().toArray();
        for (const QJsonValue& value : curve)
            out[it.key().toStdString()].push_back(static_cast<float>(value.toDouble()));
    }
    return out;
}

QString buildsText(const DayRecord& record) {
    QJsonArray out;
    for (const BuildRecord& build : record.builds)
        out.append(QJsonArray{qs(build.id), qs(build.name)});
    return QString::fromUtf8(QJsonDocument(out).toJson(QJsonDocument::Compact));
}

std::vector<FoundBuild> buildsFrom(const QString& text) {
    std::vector<FoundBuild> out;
    const QJsonArray builds = QJsonDocument::fromJson(text.toUtf8()).array();
    for (const QJsonValue& build : builds)
        out.push_back({build[0].toString().toStdString(), build[1].toString().toStdString()});
    return out;
}

/// Parts and settings as they are searched, each with its value.
QString partText(const DayRecord& record) {
    QStringList out;
    for (const BuildRecord& build : record.builds)
        for (const NamedValues* values : {&build.parts, &build.settings})
            for (const auto& [name, value] : *values)
                if (const QString text = searchText(qs(name + " " + value)); !out.contains(text))
                    out << text;
    return out.join(QLatin1Char('\n'));
}

QString answerJson(const DayRecord& record) {
    return record.summary.empty() ? QStringLiteral("") : qs(dumpJson({{"answer", statementsJson(record.summary)}}));
}

std::vector<Statement> answerFrom(const std::string& text) {
    if (text.empty())
        return {};
    try {
        ObjectReader in(parseJson(text, "answer"), "answer");
        return readStatements(in, "answer");
    } catch (const DataError&) { // there is still the text in English
        return {};
    }
}

/// All words of a day, each once; its answer in every language, as its readers see it.
QStringList wordsOf(const LogbookEntry& entry) {
    const DayRecord& record = entry.record;
    QString all;
    if (!record.summary.empty()) {
        static const Voice kVoices[] = {Voice::of(Language::German), Voice::of(Language::French)};
        for (const Voice& voice : kVoices)
            all += qs(voice.say(record.summary)) + QLatin1Char(' ');
    }
    for (const std::string* text : {&record.id, &record.name, &record.date, &record.article, &record.cell,
                                    &record.operatorName, &record.note, &entry.summary})
        all += qs(*text) + QLatin1Char(' ');
    for (const BuildRecord& build : record.builds)
        all += qs(build.name + " " + build.note) + QLatin1Char(' ');
    QStringList out = searchWords(all) + searchWords(partText(record));
    out.removeDuplicates();
    return out;
}

/// The folder from which this machine entered it is no more: it was moved or renamed.
bool wasMoved(const FoundDay& there, const LogbookEntry& entry) {
    std::error_code error;
    return there.host == entry.host && entry.host == thisBench() && there.path != entry.path &&
           !std::filesystem::exists(there.path, error) && !error;
}

/// What one query asks of the table of days, with its values.
struct Condition {
    QStringList where;
    QVariantList values;

    void add(const QString& what, const QVariant& value) {
        where << what;
        values << value;
    }
    [[nodiscard]] QString text() const {
        return where.isEmpty() ? QString() : QStringLiteral(" WHERE ") + where.join(QStringLiteral(" AND "));
    }
};

/// LIKE takes these for more than themselves.
QString contained(const QString& text) {
    QString out = searchText(text);
    return QLatin1Char('%') + out + QLatin1Char('%'); // only letters, digits and blanks are left
}

Condition conditionOf(const DayQuery& query, bool server) {
    Condition out;
    if (!query.words.isEmpty()) {
        QStringList words;
        for (const QString& word : query.words)
            words << (server ? QStringLiteral("'%1':*").arg(word) : QStringLiteral("\"%1\"*").arg(word));
        if (server)
            out.add(QStringLiteral("words @@ ?::tsquery"), words.join(QStringLiteral(" & ")));
        else
            out.add(QStringLiteral("number IN (SELECT rowid FROM day_words WHERE day_words MATCH ?)"),
                    words.join(QLatin1Char(' ')));
    }
    if (!query.article.isEmpty())
        out.add(QStringLiteral("article_text LIKE ?"), contained(query.article));
    if (!query.part.isEmpty())
        out.add(QStringLiteral("part_text LIKE ?"), contained(query.part));
    if (!query.operatorName.isEmpty())
        out.add(QStringLiteral("operator_text LIKE ?"), contained(query.operatorName));
    if (!query.since.isEmpty())
        out.add(QStringLiteral("date >= ?"), query.since);
    if (!query.until.isEmpty()) // "2026-05" holds the whole month
        out.add(QStringLiteral("substr(date, 1, %1) <= ?").arg(query.until.size()), query.until);
    if (query.over_kw)
        out.add(QStringLiteral("peak_kw > ?"), *query.over_kw);
    if (query.under_kw)
        out.add(QStringLiteral("peak_kw < ?"), *query.under_kw);
    return out;
}

QString orderOf(DaySort sort) {
    switch (sort) {
    case DaySort::Oldest:
        return QStringLiteral("date, id");
    case DaySort::Name:
        return QStringLiteral("name, id");
    case DaySort::Article:
        return QStringLiteral("article, date DESC, id");
    case DaySort::Power:
        return QStringLiteral("COALESCE(peak_kw, 0) DESC, id");
    case DaySort::Newest:
        break;
    }
    return QStringLiteral("date DESC, id DESC");
}

/// A word that stands in most days: their order is walked until enough are found, instead of sorting all of them.
QString indexFor(const DayQuery& query) {
    if (query.words.isEmpty() || query.limit <= 0)
        return {};
    if (query.sort == DaySort::Newest || query.sort == DaySort::Oldest)
        return QStringLiteral(" INDEXED BY days_by_date");
    return query.sort == DaySort::Name ? QStringLiteral(" INDEXED BY days_by_name") : QString();
}

FoundDay foundDay(const QSqlQuery& row) {
    const auto text = [&](int column) { return row.value(column).toString().toStdString(); };
    FoundDay out;
    out.id = text(0);
    out.revision = row.value(1).toInt();
    out.name = text(2);
    out.date = text(3);
    out.article = text(4);
    out.cell = text(5);
    out.operatorName = text(6);
    out.builds = buildsFrom(row.value(7).toString());
    out.summary = text(8);
    if (!row.value(9).isNull())
        out.peak_kw = row.value(9).toDouble();
    out.host = text(10);
    out.path = text(11);
    out.stamp = text(12);
    out.thumbnail = thumbnailFrom(row.value(13).toString());
    out.answer = answerFrom(text(14));
    out.isCurrent = row.value(15).toInt() >= kEntryVersion;
    return out;
}

DayRecord recordFrom(const QByteArray& packed, const std::string& id) {
    const QByteArray text = qUncompress(packed);
    return recordFromJson({text.constData(), static_cast<size_t>(text.size())}, id);
}

} // namespace

Logbook::Logbook(const LogbookAddress& address) : m_database(address) { migrate(m_database); }

PutResult Logbook::put(const LogbookEntry& entry, std::optional<int> seenRevision, const Packager& packager) {
    std::string cell = cellName(entry.record.cell, entry.host);
    if (cell == entry.record.cell)
        return putNamed(entry, seenRevision, packager);
    LogbookEntry named = entry;
    named.record.cell = std::move(cell);
    return putNamed(named, seenRevision, packager);
}

PutResult Logbook::putNamed(const LogbookEntry& entry, std::optional<int> seenRevision, const Packager& packager) {
    Transaction transaction(m_database);
    // A day that is new to two benches at once is made by one of them; the other waits here and then finds it.
    if (onServer())
        m_database.run(QStringLiteral("SELECT pg_advisory_xact_lock(hashtextextended(?, 0))"), {qs(entry.record.id)});
    const auto there = find(entry.record.id);
    if (!there) {
        writeDay(entry, 1, true);
        keepPackage(entry, packager);
        transaction.commit();
        return {PutKind::Added, 1, {}};
    }
    const bool samePlace = there->host == entry.host && there->path == entry.path;
    if (there->stamp == entry.stamp && samePlace && there->isCurrent)
        return {PutKind::Unchanged, there->revision, {}};
    const bool mayReplace = seenRevision ? *seenRevision == there->revision : samePlace || wasMoved(*there, entry);
    if (!mayReplace)
        return {there->stamp == entry.stamp ? PutKind::Unchanged : PutKind::Conflict, there->revision, *there};
    writeDay(entry, there->revision + 1, false);
    keepPackage(entry, packager);
    transaction.commit();
    return {PutKind::Updated, there->revision + 1, {}};
}

void Logbook::writeDay(const LogbookEntry& entry, int revision, bool isNew) {
    const DayRecord& record = entry.record;
    const QString id = qs(record.id);
    const auto peak = record.peakPower_w();
    const QVariantList values{revision,
                              qs(record.name),
                              qs(record.date),
                              qs(record.article),
                              qs(record.cell),
                              qs(record.operatorName),
                              buildsText(record),
                              qs(entry.summary),
                              peak ? QVariant(*peak / 1000.0) : QVariant(QMetaType::fromType<double>()),
                              qs(entry.host),
                              qs(entry.path),
                              qs(entry.stamp),
                              thumbnailOf(record),
                              answerJson(record),
                              kEntryVersion,
                              searchText(qs(record.article)),
                              searchText(qs(record.operatorName)),
                              partText(record),
                              id};
    const QString names =
        QStringLiteral("revision, name, date, article, cell, operator, builds, summary, peak_kw, host, "
                       "path, stamp, thumbnail, answer, entry_version, article_text, operator_text, part_text");
    if (isNew)
        m_database.run(QStringLiteral("INSERT INTO days (%1, id) VALUES (?%2)")
                           .arg(names, QStringLiteral(", ?").repeated(values.size() - 1)),
                       values);
    else
        m_database.run(QStringLiteral("UPDATE days SET %1 = ? WHERE id = ?")
                           .arg(QString(names).replace(QStringLiteral(", "), QStringLiteral(" = ?, "))),
                       values);
    const QStringList words = wordsOf(entry);
    if (onServer()) {
        m_database.run(
            QStringLiteral("UPDATE days SET words = array_to_tsvector(string_to_array(?, ' ')) WHERE id = ?"),
            {words.join(QLatin1Char(' ')), id});
    } else {
        m_database.run(QStringLiteral("DELETE FROM day_words WHERE rowid = (SELECT number FROM days WHERE id = ?)"),
                       {id});
        m_database.run(
            QStringLiteral("INSERT INTO day_words (rowid, words) VALUES ((SELECT number FROM days WHERE id = ?), ?)"),
            {id, words.join(QLatin1Char(' '))});
    }
    const std::string json = recordToJson(record);
    m_database.run(QStringLiteral("DELETE FROM records WHERE day = ?"), {id});
    m_database.run(QStringLiteral("INSERT INTO records (day, record) VALUES (?, ?)"),
                   {id, qCompress(QByteArray::fromStdString(json))});
}

std::optional<FoundDay> Logbook::find(const std::string& id) {
    QSqlQuery row =
        m_database.run(QStringLiteral("SELECT %1 FROM days WHERE id = ?").arg(QLatin1String(kColumns)), {qs(id)});
    if (!row.next())
        return std::nullopt;
    return foundDay(row);
}

std::vector<FoundDay> Logbook::find(const DayQuery& query) {
    const Condition condition = conditionOf(query, onServer());
    QString statement = QStringLiteral("SELECT %1 FROM days%2%3 ORDER BY %4")
                            .arg(QLatin1String(kColumns), onServer() ? QString() : indexFor(query), condition.text(),
                                 orderOf(query.sort));
    if (query.limit > 0)
        statement += QStringLiteral(" LIMIT %1 OFFSET %2").arg(query.limit).arg(query.offset);
    QSqlQuery rows = m_database.run(statement, condition.values);
    std::vector<FoundDay> out;
    while (rows.next())
        out.push_back(foundDay(rows));
    return out;
}

long Logbook::count(const DayQuery& query) {
    const Condition condition = conditionOf(query, onServer());
    const bool wordsAlone = !onServer() && !query.words.isEmpty() && condition.where.size() == 1;
    QSqlQuery row = m_database.run(wordsAlone ? QStringLiteral("SELECT COUNT(*) FROM day_words WHERE day_words MATCH ?")
                                              : QStringLiteral("SELECT COUNT(*) FROM days%1").arg(condition.text()),
                                   condition.values);
    return row.next() ? static_cast<long>(row.value(0).toLongLong()) : 0;
}

std::optional<DayRecord> Logbook::record(const std::string& id) {
    QSqlQuery row = m_database.run(QStringLiteral("SELECT record FROM records WHERE day = ?"), {qs(id)});
    if (!row.next())
        return std::nullopt;
    return recordFrom(row.value(0).toByteArray(), id);
}

std::vector<DayRecord> Logbook::recordsOfCell(const std::string& cell) {
    if (m_heldCell != cell) {
        m_held.clear();
        QSqlQuery rows = m_database.run(
            QStringLiteral("SELECT id, revision, stamp, record FROM days JOIN records ON day = id WHERE cell = ?"),
            {qs(cell)});
        while (rows.next()) {
            const std::string id = rows.value(0).toString().toStdString();
            m_held[id] = {rows.value(1).toInt(), rows.value(2).toString().toStdString(),
                          recordFrom(rows.value(3).toByteArray(), id)};
        }
        m_heldCell = cell;
    } else {
        readChanged();
    }
    std::vector<DayRecord> out;
    for (const auto& [id, one] : m_held)
        out.push_back(one.record);
    return out;
}

/// Of the held cell what has come, changed or gone since.
void Logbook::readChanged() {
    std::map<std::string, HeldRecord> before = std::exchange(m_held, {});
    std::vector<std::pair<std::string, HeldRecord>> changed;
    QSqlQuery rows =
        m_database.run(QStringLiteral("SELECT id, revision, stamp FROM days WHERE cell = ?"), {qs(m_heldCell)});
    while (rows.next()) {
        std::string id = rows.value(0).toString().toStdString();
        HeldRecord one{rows.value(1).toInt(), rows.value(2).toString().toStdString(), {}};
        const auto held = before.find(id);
        if (held != before.end() && held->second.revision == one.revision && held->second.stamp == one.stamp)
            m_held.insert(before.extract(held));
        else
            changed.emplace_back(std::move(id), std::move(one));
    }
    for (auto& [id, one] : changed) {
        auto read = record(id);
        if (!read) // forgotten just now
            continue;
        one.record = std::move(*read);
        m_held.emplace(id, std::move(one));
    }
}

std::vector<std::string> Logbook::cells() {
    QSqlQuery rows = m_database.run(QStringLiteral("SELECT DISTINCT cell FROM days ORDER BY cell"));
    std::vector<std::string> out;
    while (rows.next())
        out.push_back(rows.value(0).toString().toStdString());
    return out;
}

std::optional<FoundDay> Logbook::findPlace(const std::string& host, const std::string& path) {
    QSqlQuery row =
        m_database.run(QStringLiteral("SELECT %1 FROM days WHERE host = ? AND path = ?").arg(QLatin1String(kColumns)),
                       {qs(host), qs(path)});
    return row.next() ? std::optional(foundDay(row)) : std::nullopt;
}

bool Logbook::forget(const std::string& id) {
    Transaction transaction(m_database);
    if (!onServer())
        m_database.run(QStringLiteral("DELETE FROM day_words WHERE rowid = (SELECT number FROM days WHERE id = ?)"),
                       {qs(id)});
    const int gone = m_database.run(QStringLiteral("DELETE FROM days WHERE id = ?"), {qs(id)}).numRowsAffected();
    transaction.commit();
    return gone > 0;
}

void Logbook::keepPackage(const LogbookEntry& entry, const Packager& packager) {
    if (!onServer() || !packager)
        return;
    if (const QByteArray package = packager(entry); !package.isEmpty())
        m_database.run(
            QStringLiteral("INSERT INTO packages (day, package) VALUES (?, ?) ON CONFLICT (day) DO UPDATE SET "
                           "package = excluded.package"),
            {qs(entry.record.id), package});
}

std::optional<QByteArray> Logbook::package(const std::string& id) {
    if (!onServer())
        return std::nullopt;
    QSqlQuery row = m_database.run(QStringLiteral("SELECT package FROM packages WHERE day = ?"), {qs(id)});
    return row.next() ? std::optional(row.value(0).toByteArray()) : std::nullopt;
}

std::string answerText(const FoundDay& day, const Voice& voice) {
    return !day.answer.empty() && voice.knows(day.answer) ? voice.say(day.answer) : day.summary;
}

std::string thisBench() { return QSysInfo::machineHostName().toStdString(); }

} // namespace hillrun
