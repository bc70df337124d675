// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "app/look/drag_out.h"

#include <algorithm>
#include <QApplication>
#include <QDrag>
#include <QMouseEvent>
#include <QTemporaryDir>
#include <QUrl>

namespace hillrun {
namespace {

constexpr int kCarriedWidth = 240; ///< of the small picture under the pointer

void beginDrag(QWidget* from, std::unique_ptr<QMimeData> carried) {
    auto* drag = new QDrag(from); // Qt's from here on
    drag->setPixmap(from->grab().scaledToWidth(kCarriedWidth, Qt::SmoothTransformation));
    drag->setMimeData(carried.release());
    drag->exec(Qt::CopyAction);
}

DragOut::Begin& beginner() {
    static DragOut::Begin begin = beginDrag;
    return begin;
}

} // namespace

DragOut::DragOut(QWidget* from, Qt::KeyboardModifiers held, Make make)
    : QObject(from), m_from(from), m_held(held), m_make(std::move(make)) {
    from->installEventFilter(this);
}

void DragOut::setBegin(Begin begin) { beginner() = begin ? std::move(begin) : Begin(beginDrag); }

bool DragOut::eventFilter(QObject* watched, QEvent* event) {
    if (event->type() == QEvent::MouseButtonPress) {
        const auto* press = static_cast<const QMouseEvent*>(event);
        m_pressed.reset();
        if (press->button() == Qt::LeftButton && (press->modifiers() & m_held) == m_held)
            m_pressed = press->position().toPoint();
        return m_pressed && m_held != Qt::NoModifier; // the widget is not to take it for its own drag
    }
    if (event->type() == QEvent::MouseMove && m_pressed) {
        const auto* move = static_cast<const QMouseEvent*>(event);
        const int moved = (move->position().toPoint() - *m_pressed).manhattanLength();
        if (move->buttons().testFlag(Qt::LeftButton) && moved >= QApplication::startDragDistance()) {
            m_pressed.reset();
            if (auto carried = m_make())
                beginner()(m_from, std::move(carried));
        }
        return m_held != Qt::NoModifier;
    }
    if (event->type() == QEvent::MouseButtonRelease && m_pressed) {
        m_pressed.reset();
        return m_held != Qt::NoModifier;
    }
    return QObject::eventFilter(watched, event);
}

QString carriedFile(const QString& name) {
    static const QTemporaryDir folder;
    QString safe = name;
    for (QChar& c : safe)
        if (c == u'/' || c == u'\\' || c < u' ')
            c = u'-';
    constexpr qsizetype kLongest = 100;
    const qsizetype ending = std::max<qsizetype>(0, safe.lastIndexOf(u'.')); // it says what the file is: never cut
    const QString stem = safe.left(std::min(ending, kLongest));
    return folder.filePath((stem.isEmpty() ? QStringLiteral("hillrun") : stem) + safe.mid(ending));
}

void carryFiles(QMimeData& carried, const QStringList& files) {
    QList<QUrl> urls;
    for (const QString& file : files)
        urls << QUrl::fromLocalFile(file);
    carried.setUrls(urls);
}

} // namespace hillrun
